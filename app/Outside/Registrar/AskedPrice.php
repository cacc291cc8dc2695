<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use Acre\Core\Money\Money;

/** What a registrar says that a year of a name costs. */
final readonly class AskedPrice
{
    /**
     * @param  Money  $renew  a year, before tax
     * @param  bool  $isStandard  whether it is no dearer than others of its suffix
     */
    public function __construct(public Money $renew, public bool $isStandard)
    {
    }
}
