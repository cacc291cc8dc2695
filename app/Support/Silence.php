<?php

declare(strict_types=1);

namespace App\Support;

/** What it means when a client doesn't answer which names to keep: the house's own rule. */
enum Silence: string
{
    /** Nothing: somebody rings them. */
    case Nothing = 'nothing';
    /** Their names are kept for another year. */
    case Keep = 'keep';
    case Lapse = 'lapse';
}
