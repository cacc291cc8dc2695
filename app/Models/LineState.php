<?php

declare(strict_types=1);

namespace App\Models;

enum LineState: string
{
    /** Waits for a Steward. */
    case Prepared = 'prepared';
    /** Settled, and not yet begun. */
    case Waiting = 'waiting';
    /** Out on its slip. */
    case Begun = 'begun';
    case Done = 'done';
    /** It could not begin. */
    case Stopped = 'stopped';
    /** The registrar or the receiver refused it. */
    case Refused = 'refused';
    case CalledOff = 'called_off';

    public const OPEN = [self::Prepared, self::Waiting, self::Begun];

    public function isOpen(): bool
    {
        return in_array($this, self::OPEN, true);
    }
}
