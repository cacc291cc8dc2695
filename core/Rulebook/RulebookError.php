<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

use RuntimeException;

final class RulebookError extends RuntimeException
{
    public static function unreadable(string $file, string $why): self
    {
        return new self("rulebook/{$file}: {$why}");
    }

    public static function value(string $file, string $key, string $expected, mixed $given): self
    {
        return new self(
            sprintf(
                'rulebook/%s: %s must be %s, found %s.',
                $file,
                $key,
                $expected,
                json_encode($given, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
            ),
        );
    }

    public static function nothingInForce(string $file, string $key, string $date): self
    {
        return new self("rulebook/{$file}: {$key} has no edition in force on {$date}.");
    }
}
