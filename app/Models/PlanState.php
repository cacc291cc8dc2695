<?php

declare(strict_types=1);

namespace App\Models;

/** How far a migration is. */
enum PlanState: string
{
    /** Each day's names wait for a Steward's yes. */
    case Running = 'running';
    /** Too many have failed: it waits until somebody lets it go on. */
    case Stopped = 'stopped';
    case Ended = 'ended';
    case CalledOff = 'called_off';

    public function isOpen(): bool
    {
        return $this === self::Running || $this === self::Stopped;
    }
}
