<?php

declare(strict_types=1);

namespace Acre\Core\Custody;

use Acre\Core\Time\Instant;

/** A person who has a part of an account. */
final readonly class Custodian
{
    /** @param  Instant|null  $goodUntil  of a card, the last day on which it pays */
    public function __construct(
        public int $id,
        public string $name,
        public CustodyPart $part,
        public bool $hasLeft,
        public ?Instant $goodUntil = null,
    ) {
    }
}
