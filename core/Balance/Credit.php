<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** Money at a registrar that pays only for some things: for some deeds, some suffixes, until a day (common practice). */
final readonly class Credit
{
    /**
     * @param  string|null  $for  'add', 'renew', 'transfer' or 'restore'; null: all of them
     * @param  list<string>  $suffixes  A-labels; empty: every one
     * @param  Instant|null  $ends  from when it is lost; null: not known, or never
     * @param  Instant|null  $saidOn  when it held that: what was charged before took nothing of it
     */
    public function __construct(
        public Money $holds,
        public ?string $for = null,
        public array $suffixes = [],
        public ?Instant $ends = null,
        public ?Instant $saidOn = null,
    ) {
    }

    /** @param  string  $name  A-labels, directly below its suffix */
    public function pays(string $name, string $for, Instant $at): bool
    {
        return ($this->ends === null || $at->isBefore($this->ends))
            && ($this->saidOn === null || ! $at->isBefore($this->saidOn))
            && ($this->for === null || $this->for === $for)
            && ($this->suffixes === [] || in_array(substr((string) strstr($name, '.'), 1), $this->suffixes, true));
    }
}
