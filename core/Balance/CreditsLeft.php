<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** What is left of an account's credits as charges come: of those that pay for a thing, what is lost first is taken first. */
final class CreditsLeft
{
    /** @var array<int, int> of each credit, in the smallest unit */
    private array $left;

    /** @var list<Credit> */
    private readonly array $credits;

    /** @param  list<Credit>  $credits  in one currency */
    public function __construct(array $credits)
    {
        $lost = fn (Credit $one): int => $one->ends->epoch ?? PHP_INT_MAX;
        usort($credits, fn (Credit $one, Credit $other): int => $lost($one) <=> $lost($other));
        $this->credits = $credits;
        $this->left = array_map(fn (Credit $one): int => $one->holds->minor(), $credits);
    }

    /** How much of a sum they pay, in the smallest unit. */
    public function part(string $name, string $for, int $sum, Instant $at): int
    {
        return array_sum($this->parts($name, $for, $sum, $at));
    }

    /** As above, and it is taken. */
    public function take(string $name, string $for, int $sum, Instant $at): int
    {
        $parts = $this->parts($name, $for, $sum, $at);
        foreach ($parts as $i => $part) {
            $this->left[$i] -= $part;
        }

        return array_sum($parts);
    }

    /** @return list<Credit> those that hold something */
    public function rest(): array
    {
        $rest = [];
        foreach ($this->credits as $i => $one) {
            if ($this->left[$i] > 0) {
                $rest[] = new Credit(
                    Money::ofMinor($this->left[$i], $one->holds->currency),
                    $one->for,
                    $one->suffixes,
                    $one->ends,
                    $one->saidOn,
                );
            }
        }

        return $rest;
    }

    /** @return array<int, int> of each credit that pays something */
    private function parts(string $name, string $for, int $sum, Instant $at): array
    {
        $parts = [];
        foreach ($this->credits as $i => $one) {
            if ($sum > 0 && $this->left[$i] > 0 && $one->pays($name, $for, $at)) {
                $parts[$i] = min($sum, $this->left[$i]);
                $sum -= $parts[$i];
            }
        }

        return $parts;
    }
}
