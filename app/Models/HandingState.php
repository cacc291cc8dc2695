<?php

declare(strict_types=1);

namespace App\Models;

/** How far the handing of one account's custody is. */
enum HandingState: string
{
    case Open = 'open';
    case Done = 'done';
    /** It stays with whom it was, for a reason. */
    case Left = 'left';
}
