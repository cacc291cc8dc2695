<?php

declare(strict_types=1);

namespace Acre\Wire\Whois;

use RuntimeException;

/** A text that a directory of the old kind sent and that can't be read as an answer. */
final class WhoisError extends RuntimeException
{
    public static function tooLong(int $bytes, int $limit): self
    {
        return new self("The answer has {$bytes} bytes, and {$limit} are read at most.");
    }

    public static function empty(): self
    {
        return new self('The directory closed the connection without a word.');
    }
}
