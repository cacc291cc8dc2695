<?php

declare(strict_types=1);

namespace App\Models;

enum DriftState: string
{
    case Open = 'open';
    /** Somebody said why it may stay so. */
    case Left = 'left';
    /** What was observed was written into the Roll. */
    case Taken = 'taken';
    /** Both say the same again. */
    case Gone = 'gone';
}
