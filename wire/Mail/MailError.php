<?php

declare(strict_types=1);

namespace Acre\Wire\Mail;

use RuntimeException;

/** A letter that can't be read; the message says what is wrong with it. */
final class MailError extends RuntimeException
{
    public static function tooLong(int $bytes, int $limit): self
    {
        return new self("The letter has {$bytes} bytes, and {$limit} at most are read.");
    }
}
