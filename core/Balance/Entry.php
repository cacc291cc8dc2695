<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** One thing that happens to a balance, and what is left then. */
final readonly class Entry
{
    /**
     * @param  int|null  $left  what is left, in the smallest unit; null: the account has no balance, as it pays by card or invoice
     * @param  Charge|null  $charge  null: it is a top-up
     * @param  Instant|null  $again  when it is tried again; null: not, or nothing was refused
     * @param  int  $credited  how much of it a credit paid, in the smallest unit
     */
    public function __construct(
        public Instant $at,
        public EntryKind $kind,
        public Money $amount,
        public ?int $left,
        public ?Charge $charge = null,
        public ?Instant $again = null,
        public int $credited = 0,
    ) {
    }

    /** What is left; null: the account has no balance. Made when it is asked for: a forecast has many entries. */
    public function after(): ?Money
    {
        return $this->left === null ? null : Money::ofMinor($this->left, $this->amount->currency);
    }

    /** Whether its charge was tried before. */
    public function isTriedAgain(): bool
    {
        return $this->charge !== null && ! $this->at->agreesWith($this->charge->at);
    }

    /** Whether it is refused for good: its registrar doesn't try again. */
    public function isLast(): bool
    {
        return $this->kind === EntryKind::Refused && $this->again === null;
    }
}
