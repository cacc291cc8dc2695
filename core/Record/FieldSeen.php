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

    /** Words that directories put where they show nothing (common practice, from memory). */
    private const MASKED = '/\bREDACTED\b|^(?:(?:data |value )?(?:not disclosed|withheld|masked|non-public|not '
        .'shown|hidden|protected)|statutory masking|gdpr (?:masked|protected)|personal data)\b/iu';

    /** What stands there, where that is the holder's and no word for what is not shown. */
    public static function read(string $value): self
    {
        return preg_match(self::MASKED, trim($value)) === 1 ? self::redacted($value) : self::shown($value);
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
