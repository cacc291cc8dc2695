<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

use Acre\Core\Money\Money;
use Acre\Core\Money\Sums;
use Acre\Core\Time\Instant;

/** The day's work list as one person asked for it. */
final readonly class Rounds
{
    /** Days that the list itself looks ahead; what comes after is only drawn and folded away. */
    public const AHEAD = 14;

    /**
     * @param  list<RoundsItem>  $items  dearest first, then soonest
     * @param  array<string, RoundsMark>  $marks  what was said of them, by key
     * @param  bool  $isCut  whether some kind has more than are told
     */
    public function __construct(public Instant $today, public array $items, public array $marks, public bool $isCut = false)
    {
    }

    /** @return array<string, list<RoundsItem>> by section, for the days ahead */
    public function sections(): array
    {
        $sections = [];
        foreach ($this->soon() as $item) {
            $sections[$item->section->value][] = $item;
        }

        return $sections;
    }

    /** @return list<RoundsItem> */
    public function soon(): array
    {
        return $this->before($this->today->plusDays(self::AHEAD));
    }

    /** @return list<RoundsItem> soonest first */
    public function later(): array
    {
        $until = $this->today->plusDays(self::AHEAD);
        $later = array_values(array_filter($this->items, fn (RoundsItem $item): bool => ! $item->due->isBefore($until)));
        usort($later, fn (RoundsItem $a, RoundsItem $b): int => $a->due->epoch <=> $b->due->epoch);

        return $later;
    }

    public function todays(): int
    {
        return count($this->before($this->today->plusDays(1)));
    }

    /** How many names are lost or go dark when nothing is done this week. */
    public function darkThisWeek(): int
    {
        return array_sum(
            array_map(
                fn (RoundsItem $item): int => in_array($item->section, [RoundsSection::Lost, RoundsSection::Dark], true) ? $item->names : 0,
                $this->before($this->today->plusDays(7)),
            ),
        );
    }

    /** How many names are late, suspended or deleted already. */
    public function amiss(): int
    {
        return array_sum(array_map(fn (RoundsItem $item): int => $item->section === RoundsSection::Now ? $item->names : 0, $this->items));
    }

    /** @return list<Money> what is lost when nothing is done this week, a sum a currency */
    public function lossThisWeek(): array
    {
        $week = $this->today->plusDays(7);
        $due = array_filter($this->before($week), fn (RoundsItem $item): bool => ($item->last ?? $item->due)->isBefore($week));

        return array_values(Sums::of(array_map(fn (RoundsItem $item): ?Money => $item->loss, $due)));
    }

    /** @return list<RoundsItem> */
    private function before(Instant $until): array
    {
        return array_values(array_filter($this->items, fn (RoundsItem $item): bool => $item->due->isBefore($until)));
    }
}
