<?php

declare(strict_types=1);

namespace App\Models;

/** What a person who signs in may do; each role may all that the ones below it may. */
enum Role: string
{
    case Owner = 'owner';
    case Steward = 'steward';
    case Clerk = 'clerk';
    case Reader = 'reader';

    public function may(Right $right): bool
    {
        return match ($right) {
            Right::Look => true,
            Right::Prepare => $this !== self::Reader,
            Right::Settle => $this === self::Owner || $this === self::Steward,
            Right::Run => $this === self::Owner,
        };
    }
}
