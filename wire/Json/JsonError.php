<?php

declare(strict_types=1);

namespace Acre\Wire\Json;

use RuntimeException;

/** What is wrong with a JSON text, and where: a byte for what is no JSON, a path such as `$.entities[1].roles` for the rest. */
final class JsonError extends RuntimeException
{
    public static function tooLong(int $bytes, int $limit): self
    {
        return new self("The answer has {$bytes} bytes, and {$limit} are read at most.");
    }

    public static function notJson(int $byte, string $why): self
    {
        return new self("The answer is no JSON: {$why} at byte {$byte}.");
    }

    public static function wrong(string $path, string $expected, mixed $given): self
    {
        return new self("{$path} should be {$expected}, and is ".self::say($given).'.');
    }

    public static function missing(string $path): self
    {
        return new self("{$path} is missing.");
    }

    public static function tooMany(string $path, int $limit): self
    {
        return new self("{$path} has more than {$limit} members.");
    }

    private static function say(mixed $given): string
    {
        return is_scalar($given)
            ? '“'.
                    mb_strimwidth(
                        mb_scrub((string) json_encode($given, JSON_INVALID_UTF8_SUBSTITUTE | JSON_UNESCAPED_UNICODE)),
                        0,
                        60,
                        '…',
                    ).
                    '”'
            : get_debug_type($given);
    }
}
