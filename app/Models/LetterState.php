<?php

declare(strict_types=1);

namespace App\Models;

enum LetterState: string
{
    case Waiting = 'waiting';
    /** Marked, and not answered yet. */
    case Sending = 'sending';
    case Sent = 'sent';
    case Refused = 'refused';
    /** It may have gone. */
    case Doubtful = 'doubtful';
    /** Taken by the post, and sent back. */
    case Returned = 'returned';
    /** There is no post; it stands here only. */
    case Kept = 'kept';

    /** Whether nobody got it, as far as is known. */
    public function hasFailed(): bool
    {
        return $this === self::Refused || $this === self::Returned || $this === self::Kept;
    }
}
