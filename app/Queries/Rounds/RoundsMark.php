<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

use Acre\Core\Time\Instant;

/** What somebody said of a thing in Rounds. */
final readonly class RoundsMark
{
    public function __construct(public bool $done, public ?Instant $offUntil, public ?int $givenTo, public string $givenToName)
    {
    }

    public function hides(Instant $today): bool
    {
        return $this->done || ($this->offUntil !== null && $today->isBefore($this->offUntil));
    }
}
