<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

use RuntimeException;

/** What is wrong with a DNS message, a name or a record, and where. */
final class DnsError extends RuntimeException
{
    /** @param  int  $byte  counted from nought */
    public static function message(int $byte, string $why): self
    {
        return new self("The message can’t be read at byte {$byte}: {$why}.");
    }

    public static function name(string $given, string $why): self
    {
        return new self('“'.self::short($given)."” is no name: {$why}.");
    }

    public static function field(string $given, string $expected): self
    {
        return new self('“'.self::short($given)."” should be {$expected}.");
    }

    public static function missing(string $expected): self
    {
        return new self("{$expected} is missing.");
    }

    public static function extra(string $given): self
    {
        return new self('“'.self::short($given).'” is one value too many.');
    }

    public static function type(string $given): self
    {
        return new self('“'.self::short($given).'” is no record type.');
    }

    public static function line(string $why): self
    {
        return new self($why);
    }

    public static function tooLong(int $bytes, int $most): self
    {
        return new self("The message has {$bytes} bytes, and {$most} fit.");
    }

    private static function short(string $given): string
    {
        return mb_strimwidth(mb_scrub($given), 0, 60, '…');
    }
}
