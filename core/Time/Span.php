<?php

declare(strict_types=1);

namespace Acre\Core\Time;

/** A stretch of time from its first instant up to, not including, its last; either end may be open. */
final readonly class Span
{
    private function __construct(public ?Instant $from, public ?Instant $until)
    {
    }

    /** @throws TimeError when it would be empty */
    public static function of(?Instant $from, ?Instant $until): self
    {
        if ($from !== null && $until !== null && $until->epoch <= $from->epoch) {
            throw TimeError::emptySpan($from, $until);
        }

        return new self($from, $until);
    }

    public static function since(Instant $from): self
    {
        return new self($from, null);
    }

    public function contains(Instant $instant): bool
    {
        return ($this->from === null || $instant->epoch >= $this->from->epoch) &&
            ($this->until === null || $instant->epoch < $this->until->epoch);
    }

    public function overlaps(self $other): bool
    {
        return ($this->from === null || $other->until === null || $this->from->epoch < $other->until->epoch) &&
            ($other->from === null || $this->until === null || $other->from->epoch < $this->until->epoch);
    }
}
