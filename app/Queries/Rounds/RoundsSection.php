<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

/** What it costs to leave a thing undone; Rounds are ordered by it, dearest first. */
enum RoundsSection: string
{
    case Lost = 'lost';
    case Dark = 'dark';
    case Money = 'money';
    case Waits = 'waits';
    case Look = 'look';
}
