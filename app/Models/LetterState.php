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
    /** Not sent (any more), because what it asked is answered, asked anew or called off: it says nothing of the mailbox. */
    case CalledOff = 'called_off';

    /** Whether nobody got it, as far as is known. */
    public function hasFailed(): bool
    {
        return $this === self::Refused || $this === self::Returned || $this === self::Kept || $this === self::CalledOff;
    }
}
