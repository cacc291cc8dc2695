<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Balance\Charge;
use Acre\Core\Balance\Entry;
use Acre\Core\Balance\EntryKind;
use Acre\Core\Balance\TopUp;
use Acre\Core\Money\Money;
use Acre\Core\Money\Sums;
use Acre\Core\Time\Instant;

/** The year or two ahead, as it is shown. */
final readonly class AlmanacRead
{
    /** On one day. */
    private const ORDER = ['top_up' => 'a', 'charged' => 'b', 'refused' => 'c'];

    /**
     * @param  list<AccountRun>  $runs
     * @param  int  $unpriced  charges of which nobody knows the price
     */
    public function __construct(public Asked $asked, public array $runs, public int $unpriced)
    {
    }

    /** The account whose money first fails; null: none does. */
    public function firstShort(): ?AccountRun
    {
        $first = null;
        foreach ($this->runs as $run) {
            $at = self::refused($run)?->at;
            if ($at !== null && ($first === null || $at->isBefore(self::refused($first)->at ?? $at))) {
                $first = $run;
            }
        }

        return $first;
    }

    /** Of how many accounts nobody knows what they hold. */
    public function unknown(): int
    {
        return count(array_unique(array_map(
            fn (AccountRun $run): int => $run->account->id,
            array_filter($this->runs, fn (AccountRun $run): bool => ! $run->isKnown),
        )));
    }

    /** The first charge among those that are shown that is refused. */
    public static function refused(AccountRun $run): ?Entry
    {
        foreach ($run->entries as $entry) {
            if ($entry->kind === EntryKind::Refused) {
                return $entry;
            }
        }

        return null;
    }

    /**
     * What is to be charged in the span, if the money is there.
     *
     * @return array<string, Money> by currency
     */
    public function sums(): array
    {
        $sums = [];
        foreach ($this->runs as $run) {
            array_push($sums, ...array_map(fn (Charge $charge): Money => $charge->amount, $run->due));
        }

        return Sums::of($sums);
    }

    /**
     * What happens on one day in one way stands together.
     *
     * @return list<AlmanacRow> by day
     */
    public function rows(): array
    {
        /** @var array<string, array{AccountRun, non-empty-list<Entry>}> $rows */
        $rows = [];
        foreach ($this->runs as $place => $run) {
            foreach ($run->entries as $entry) {
                if (! $this->asked->isShown($entry->at)) {
                    continue;
                }
                // Told once, however often it is tried again.
                if ($entry->kind === EntryKind::Refused && $entry->isTriedAgain()) {
                    continue;
                }
                $day = $entry->at->toDay()->epoch;
                $key = sprintf('%012d %s %d %s', $day, self::ORDER[$entry->kind->value], $place, $entry->again?->date());
                $rows[$key] ??= [$run, []];
                $rows[$key][1][] = $entry;
            }
        }
        ksort($rows);

        return array_map(fn (array $row): AlmanacRow => new AlmanacRow(...$row), array_values($rows));
    }

    /**
     * What must be paid in, and when at the latest, so that rows go through that are refused.
     *
     * @param  list<AlmanacRow>  $rows
     * @return array<int, TopUp> by the place of the row; where it is too late, or money alone doesn't help, none
     */
    public function topUps(array $rows): array
    {
        $runs = $found = [];
        foreach ($rows as $place => $row) {
            if ($row->kind() === EntryKind::Refused) {
                $until = $runs[spl_object_id($row->run)] ??= $row->run->topUpsUntil($this->asked->now);
                $found[$place] = $until[$row->at()->toDay()->epoch] ?? null;
            }
        }

        return array_filter($found);
    }

    public function until(): Instant
    {
        return $this->asked->until();
    }
}
