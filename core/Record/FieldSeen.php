<?php

declare(strict_types=1);

namespace Acre\Core\Record;

/** One field of the holder as it was read: its value, or that it is held and not shown. Neither: the record doesn't have it. */
final readonly class FieldSeen
{
    private function __construct(public ?string $value, public bool $isRedacted, public ?string $reason)
    {
    }

    public static function shown(string $value): self
    {
        return new self($value, false, null);
    }

    /** @param  string|null  $reason  in the directory's words */
    public static function redacted(?string $reason): self
    {
        return new self(null, true, $reason);
    }

    public static function absent(): self
    {
        return new self(null, false, null);
    }
}
