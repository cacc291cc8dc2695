<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

/** What it costs to leave a thing undone; Rounds are ordered by it, dearest first. */
enum RoundsSection: string
{
    /** Something is wrong already. */
    case Now = 'now';
    case Lost = 'lost';
    case Dark = 'dark';
    case Money = 'money';
    case Waits = 'waits';
    case Look = 'look';

    /** Whether a thing is there until facts show that it is done, whatever somebody says; the rest is only to be looked at. */
    public function isHeldAgainstFacts(): bool
    {
        return $this !== self::Look;
    }
}
