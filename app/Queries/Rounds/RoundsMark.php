<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

use Acre\Core\Time\Instant;

/** What somebody said of a thing in Rounds. */
final readonly class RoundsMark
{
    /**
     * @param  Instant|null  $doneOn  the day on which it was said to be done
     * @param  string  $because  what was done, or why it waits
     * @param  string  $by  who said so
     */
    public function __construct(
        public ?Instant $doneOn,
        public ?Instant $offUntil,
        public ?int $givenTo,
        public string $givenToName,
        public string $because = '',
        public string $by = '',
    ) {
    }

    /** What is said to be done is believed for the day: where facts show it, and tomorrow don't, it is there again. */
    public function hides(RoundsItem $item, Instant $today): bool
    {
        return ($this->doneOn !== null && (! $item->section->isHeldAgainstFacts() || $today->isBefore($this->doneOn->plusDays(1)))) ||
            ($this->offUntil !== null && $today->isBefore($this->offUntil));
    }
}
