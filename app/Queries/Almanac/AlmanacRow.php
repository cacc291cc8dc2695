<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Balance\Entry;
use Acre\Core\Balance\EntryKind;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** What happens to one account on one day in one way: charges that go through, charges that are refused, or a top-up. */
final readonly class AlmanacRow
{
    /** @param  non-empty-list<Entry>  $entries */
    public function __construct(public AccountRun $run, public array $entries)
    {
    }

    public function at(): Instant
    {
        return $this->entries[0]->at;
    }

    public function kind(): EntryKind
    {
        return $this->entries[0]->kind;
    }

    public function sum(): Money
    {
        return array_reduce(
            array_slice($this->entries, 1),
            fn (Money $sum, Entry $entry): Money => $sum->plus($entry->amount),
            $this->entries[0]->amount,
        );
    }

    /** How much of it a credit pays; null: nothing. */
    public function credited(): ?Money
    {
        $credited = array_sum(array_map(fn (Entry $entry): int => $entry->credited, $this->entries));

        return $credited === 0 ? null : Money::ofMinor($credited, $this->sum()->currency);
    }

    /** What is left afterwards; null: not known, or it pays otherwise. */
    public function after(): ?Money
    {
        return $this->entries[count($this->entries) - 1]->after();
    }

    /** When what was refused is tried again; null: never, or nothing was. */
    public function again(): ?Instant
    {
        return $this->entries[0]->again;
    }

    /** @return list<string> A-labels; none of a top-up */
    public function names(): array
    {
        return array_values(array_filter(array_map(fn (Entry $entry): ?string => $entry->charge?->name, $this->entries), is_string(...)));
    }
}
