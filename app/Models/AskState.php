<?php

declare(strict_types=1);

namespace App\Models;

/** How far a client's answer is. */
enum AskState: string
{
    case Open = 'open';
    case Answered = 'answered';
    /** Its day is past, and the house's rule was applied. */
    case Silent = 'silent';
    case Withdrawn = 'withdrawn';
}
