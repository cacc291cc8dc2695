<?php

declare(strict_types=1);

namespace Acre\Core\Title;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;

/** Who has held a name, from when to when, and by what deed. */
final readonly class Chain
{
    /** @param  list<Holding>  $holdings  oldest first */
    private function __construct(public array $holdings)
    {
    }

    /**
     * @param  list<Holding>  $holdings  in any order
     *
     * @throws TitleError when two of them overlap: a name has one holder at a time
     */
    public static function of(array $holdings): self
    {
        usort(
            $holdings,
            fn (Holding $a, Holding $b): int => ($a->span->from->epoch ?? PHP_INT_MIN) <=> ($b->span->from->epoch ?? PHP_INT_MIN),
        );
        for ($i = 1, $all = count($holdings); $i < $all; $i++) {
            if ($holdings[$i - 1]->span->overlaps($holdings[$i]->span)) {
                throw TitleError::twoHolders($holdings[$i - 1], $holdings[$i]);
            }
        }

        return new self($holdings);
    }

    /** Null: not known. */
    public function on(Instant $instant): ?Holding
    {
        foreach ($this->holdings as $holding) {
            if ($holding->span->contains($instant)) {
                return $holding;
            }
        }

        return null;
    }

    /** @return list<Holding> all in that span, in their order: on the day of a handover there are two */
    public function during(Span $span): array
    {
        return array_values(array_filter($this->holdings, fn (Holding $holding): bool => $holding->span->overlaps($span)));
    }

    public function knownSince(): ?Instant
    {
        return $this->holdings === [] ? null : $this->holdings[0]->span->from;
    }
}
