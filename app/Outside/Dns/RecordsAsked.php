<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Name\DomainName;
use Acre\Core\Zone\RecordsWanted;

/** Whether each server of a name says certain records. */
final readonly class RecordsAsked
{
    /** @param  int  $key  whoever asks tells them apart by it */
    public function __construct(public int $key, public DomainName $name, public RecordsWanted $wanted)
    {
    }
}
