<?php

declare(strict_types=1);

namespace App\Queries\Outside;

use Acre\Core\Record\Pace;
use Acre\Core\Time\Instant;

/** How the looking outside is planned. */
final readonly class Plan
{
    /**
     * @param  array<string, int>  $names  by pace
     * @param  float  $questions  a minute on average, if no host is asked for less than all of them
     * @param  int  $limit  questions a minute that one host is asked at most
     * @param  int  $due  names whose turn has come
     * @param  int  $failing  names of which nobody answered the last time
     * @param  array<string, int>  $troubles  how many names each reason kept from being answered
     */
    public function __construct(
        public array $names,
        public float $questions,
        public int $limit,
        public int $due,
        public int $failing,
        public ?Instant $asked,
        public array $troubles,
    ) {
    }

    /** How many quiet names one host may answer for each day. */
    public function roomFor(): int
    {
        return (int) floor(($this->limit * 1_440) / Pace::Weekly->questionsADay());
    }

    /** Questions a minute that so many quiet names take. */
    public function needs(int $names): float
    {
        return ($names * Pace::Weekly->questionsADay()) / 1_440;
    }

    /** Even if one host had to answer for all of them. */
    public function fits(): bool
    {
        return $this->questions <= $this->limit;
    }
}
