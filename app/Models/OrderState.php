<?php

declare(strict_types=1);

namespace App\Models;

enum OrderState: string
{
    /** Not told yet. */
    case Waiting = 'waiting';
    /** Told, and not answered yet. */
    case Sent = 'sent';
    /** Taken, and somebody else must act. */
    case Pending = 'pending';
    case Done = 'done';
    case Refused = 'refused';
    case CalledOff = 'called_off';
}
