<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Price\Rate;
use Acre\Core\Time\Instant;

/** What could be otherwise: a price rise, names that are let go, several years at once. */
final readonly class WhatIf
{
    /**
     * @param  string|null  $risePercent  by which renewals cost more, or below nothing less; null: not at all
     * @param  Instant|null  $riseFrom  the first day on which they do; null: at once
     * @param  array<string, true>  $letGo  names, A-labels, that are not renewed
     * @param  int  $years  that are bought at once
     */
    public function __construct(
        public ?string $risePercent = null,
        public ?Instant $riseFrom = null,
        public array $letGo = [],
        public int $years = 1,
    ) {
    }

    /** Whether it changes nothing. */
    public function isAsToday(): bool
    {
        return $this->risePercent === null && $this->letGo === [] && $this->years === 1;
    }

    public function isLetGo(string $name): bool
    {
        return isset($this->letGo[$name]);
    }

    /** What is asked on a day. */
    public function rate(Rate $rate, Instant $at): Rate
    {
        return $this->risePercent === null || ($this->riseFrom !== null && $at->isBefore($this->riseFrom))
            ? $rate
            : new Rate($rate->net->changedBy($this->risePercent), $rate->taxPercent);
    }
}
