<?php

declare(strict_types=1);

namespace Acre\Core\Price;

use Acre\Core\Time\Instant;

/** What is asked over time: a price rise that is known ahead counts from its day. */
final readonly class Rates
{
    /** @param  list<array{Instant, Instant|null, Rate}>  $spans  from, until (not included; null: open) and what is asked then */
    public function __construct(private array $spans)
    {
    }

    public function at(Instant $instant): ?Rate
    {
        foreach ($this->spans as [$from, $until, $rate]) {
            if ($from->hasComeAt($instant) && $until?->hasComeAt($instant) !== true) {
                return $rate;
            }
        }

        return null;
    }
}
