<?php

declare(strict_types=1);

namespace App\Queries\Dockets;

/** Lines of a docket by state. */
final readonly class DocketProgress
{
    public function __construct(
        public int $all,
        public int $prepared,
        public int $waiting,
        public int $begun,
        public int $done,
        public int $stopped,
        public int $refused,
        private int $calledOff,
    ) {
    }

    /** Nothing is open any more: a settled docket is being closed, and its proof made. */
    public function isOver(): bool
    {
        return $this->prepared + $this->waiting + $this->begun === 0;
    }

    /** Those that did not go, and could be tried once more. */
    public function again(): int
    {
        return $this->stopped + $this->refused + $this->calledOff;
    }

    /** Those that were not stopped before they began. */
    public function meant(): int
    {
        return $this->all - $this->stopped;
    }
}
