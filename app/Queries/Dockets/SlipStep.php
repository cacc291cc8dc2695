<?php

declare(strict_types=1);

namespace App\Queries\Dockets;

use Acre\Core\Movement\LegKind;

/** One thing to do at the registrar's page. */
final readonly class SlipStep
{
    /**
     * @param  array<string, string>  $values  what the page asks for, ready to copy, by what it is called
     * @param  bool  $withNames  the lot's names are asked for here, one a line
     */
    public function __construct(public LegKind $kind, public array $values, public bool $withNames)
    {
    }
}
