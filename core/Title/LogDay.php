<?php

declare(strict_types=1);

namespace Acre\Core\Title;

/** A day of the log that is over: how many rows it has, the digest of them, and the digest of the day before, in a text of its own. */
final readonly class LogDay
{
    private function __construct(public string $text, public string $sha256)
    {
    }

    /**
     * @param  string  $day  as `2026-11-29`, in UTC
     * @param  string  $rowsSha256  of the rows, each a line
     * @param  string|null  $previous  SHA-256 of the day before; null: the log begins with this one
     */
    public static function of(string $day, int $rows, string $rowsSha256, ?string $previous): self
    {
        $text =
            "Acre Roll, a day of the log, form 1\nday: {$day}\nrows: {$rows}\nof the rows: {$rowsSha256}\n\nprevious day: ".
            ($previous ?? 'none').
            "\n";

        return new self($text, hash('sha256', $text));
    }
}
