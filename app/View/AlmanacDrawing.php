<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Balance\Entry;
use Acre\Core\Balance\EntryKind;
use Acre\Core\Drawing\Axis;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Queries\Almanac\AccountRun;
use App\Queries\Almanac\AlmanacRead;

/** The Almanac drawn: what is left as steps, where one account is shown, and what is charged or refused as bars below. */
final readonly class AlmanacDrawing
{
    public const WIDTH = 1_180;

    /** Pixels: where the axis begins and ends, where nothing is left, how high a full balance stands, where bars stand and how high. */
    private const LEFT = 4;

    private const NOTHING = 178;

    private const HEIGHT = 118;

    public const FLOOR = 258;

    private const BAR = 62;

    /** Pixels that a month's name takes, and a month's with its year. */
    private const MONTH_ROOM = 36;

    private const YEAR_ROOM = 66;

    /** Bars that stand side by side at most. */
    private const BARS = 130;

    public Axis $axis;

    /** Whether today is in it. */
    public bool $isToday;

    /** @var list<array{x: float, label: string, strong: bool}> */
    public array $months;

    /** Steps of what is left; null: there is no one balance to draw. */
    public ?string $path;

    /** The same as things are; null: nothing is otherwise. */
    public ?string $pathToday;

    /** @var list<float> where money is paid in */
    public array $topUps;

    /** @var list<array{x: float, width: float, paid: float, refused: float, count: int}> heights of what is charged and what is refused */
    public array $bars;

    /** What is left today, beside where the line begins. */
    public ?string $holds;

    public float $holdsY;

    /** @var array{x: float, height: float, count: int}|null the first bar that is refused */
    public ?array $firstRefused;

    /** @param  AlmanacRead|null  $today  the same with nothing otherwise, drawn beneath; null: it is so */
    public function __construct(AlmanacRead $read, string $currency, ?AlmanacRead $today = null)
    {
        $this->axis = Axis::between($read->asked->shownFrom(), $read->asked->shownUntil());
        $this->months = $this->months();
        $this->isToday = $this->axis->covers($read->asked->now);
        $runs = self::runs($read, $currency);
        $one = self::one($runs);
        $other = $today === null ? null : self::one(self::runs($today, $currency));
        $most = max(1, self::most($one), self::most($other));
        [$this->path, $this->holdsY] = $one === null ? [null, 0.0] : $this->steps($one, $most);
        // Of another account it would say nothing.
        $this->pathToday = $other === null || $other->account->id !== $one?->account->id ? null : $this->steps($other, $most)[0];
        // Nearer, it is what is left when the part begins.
        $this->holds = $read->asked->zoom === null ? $one?->forecast->purse->holds?->text() : null;
        $entries = array_values(array_filter(
            array_merge(...array_map(fn (AccountRun $run): array => $run->entries, $runs)),
            fn (Entry $entry): bool => $read->asked->isShown($entry->at),
        ));
        $this->topUps = array_map(
            fn (Entry $entry): float => $this->x($entry->at),
            array_values(array_filter($entries, fn (Entry $entry): bool => $entry->kind === EntryKind::TopUp)),
        );
        $this->bars = $this->bars($entries);
        $this->firstRefused = $this->firstRefused($this->bars);
    }

    /** Whether there is a balance to draw: otherwise the bars stand alone. */
    public function top(): int
    {
        return $this->path === null ? self::NOTHING + 10 : 20;
    }

    public function nothing(): int
    {
        return self::NOTHING;
    }

    public function x(Instant $at): float
    {
        return round(self::LEFT + $this->axis->at($at) / 100 * (self::WIDTH - 2 * self::LEFT), 1);
    }

    /** @return list<AccountRun> */
    private static function runs(AlmanacRead $read, string $currency): array
    {
        return array_values(array_filter($read->runs, fn (AccountRun $run): bool => $run->currency === $currency));
    }

    /**
     * The only one, where what it holds is known.
     *
     * @param  list<AccountRun>  $runs
     */
    private static function one(array $runs): ?AccountRun
    {
        return count($runs) === 1 && $runs[0]->isKnown && $runs[0]->forecast->purse->holds !== null ? $runs[0] : null;
    }

    /** The most that it ever holds, in the smallest unit. */
    private static function most(?AccountRun $run): int
    {
        return $run === null ? 0 : max(
            $run->forecast->purse->holds?->minor() ?? 0,
            0,
            ...array_map(fn (Entry $entry): int => $entry->left ?? 0, $run->forecast->entries),
        );
    }

    /** @return array{string, float} the path, and where it begins */
    private function steps(AccountRun $run, int $most): array
    {
        $start = $run->forecast->purse->holds?->minor() ?? 0;
        $y = fn (int $left): float => round(self::NOTHING - max(0, $left) / $most * self::HEIGHT, 1);
        // One step a place: an account can be charged a hundred times on a day.
        $steps = [];
        foreach ($run->forecast->entries as $entry) {
            if ($entry->at->isBefore($this->axis->from)) {
                $start = $entry->left ?? 0;
            } elseif ($entry->at->isBefore($this->axis->until)) {
                $steps[(string) $this->x($entry->at)] = $y($entry->left ?? 0);
            }
        }
        $path = 'M'.self::LEFT.' '.$y($start);
        foreach ($steps as $x => $left) {
            $path .= " H{$x} V{$left}";
        }

        return [$path.' H'.(self::WIDTH - self::LEFT), $y($start)];
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<array{x: float, width: float, paid: float, refused: float, count: int}>
     */
    private function bars(array $entries): array
    {
        $days = max(1, (int) ceil($this->axis->from->daysUntil($this->axis->until) / self::BARS));
        $sums = [];
        foreach ($entries as $entry) {
            if ($entry->kind === EntryKind::Charged || ($entry->kind === EntryKind::Refused && ! $entry->isTriedAgain())) {
                $slot = intdiv($this->axis->from->daysUntil($entry->at->toDay()), $days);
                $sums[$slot] ??= ['paid' => 0, 'refused' => 0, 'count' => 0];
                $sums[$slot][$entry->kind === EntryKind::Charged ? 'paid' : 'refused'] += $entry->amount->minor();
                $sums[$slot]['count'] += $entry->kind === EntryKind::Refused ? 1 : 0;
            }
        }
        ksort($sums);
        $most = max([1, ...array_map(fn (array $sum): int => max($sum['paid'], $sum['refused']), array_values($sums))]);
        $bars = [];
        foreach ($sums as $slot => $sum) {
            $height = fn (int $minor): float => $minor === 0 ? 0.0 : round(max(2, $minor / $most * self::BAR), 1);
            $bars[] = [
                'x' => $this->x($this->axis->from->plusDays($slot * $days)),
                'width' => 8.0,
                'paid' => $height($sum['paid']),
                'refused' => $height($sum['refused']),
                'count' => $sum['count'],
            ];
        }

        return $bars;
    }

    /**
     * @param  list<array{x: float, width: float, paid: float, refused: float, count: int}>  $bars
     * @return array{x: float, height: float, count: int}|null height: under its words
     */
    private function firstRefused(array $bars): ?array
    {
        foreach ($bars as $bar) {
            if ($bar['count'] > 0) {
                $x = $bar['x'] + ($bar['paid'] > 0 ? 9 : 0);
                // Its words stand above all bars that they reach over.
                $below = array_filter($bars, fn (array $one): bool => $one['x'] >= $bar['x'] && $one['x'] < $x + self::YEAR_ROOM);
                $heights = array_map(fn (array $one): float => max($one['paid'], $one['refused']), array_values($below));

                return ['x' => $x, 'height' => max($bar['refused'], ...$heights), 'count' => $bar['count']];
            }
        }

        return null;
    }

    /** @return list<array{x: float, label: string, strong: bool}> */
    private function months(): array
    {
        $ticks = [];
        $month = Instant::of(substr($this->axis->from->date(), 0, 7).'-01');
        for ($i = $month->isBefore($this->axis->from) ? 1 : 0; $this->axis->covers($month->plusMonths($i)); $i++) {
            $at = $month->plusMonths($i);
            $isJanuary = substr($at->date(), 5, 2) === '01';
            $ticks[] = [
                'x' => $this->x($at),
                'label' => gmdate($isJanuary ? 'M Y' : 'M', $at->epoch),
                'strong' => $isJanuary,
            ];
        }
        // A year is always named; other months where their name has room, before the year's too.
        $free = 0.0;
        foreach ($ticks as $i => $tick) {
            $next = self::nextYear($ticks, $i);
            $room = $tick['strong'] ? self::YEAR_ROOM : self::MONTH_ROOM;
            if ((! $tick['strong'] && ($tick['x'] < $free || $next < $tick['x'] + $room)) || $tick['x'] + $room > self::WIDTH) {
                $ticks[$i]['label'] = '';

                continue;
            }
            $free = $tick['x'] + $room;
        }

        return $ticks;
    }

    /**
     * @param  list<array{x: float, label: string, strong: bool}>  $ticks
     * @return float where the next January after a tick stands
     */
    private static function nextYear(array $ticks, int $after): float
    {
        foreach (array_slice($ticks, $after + 1) as $tick) {
            if ($tick['strong']) {
                return $tick['x'];
            }
        }

        return INF;
    }

    /** @return list<string> the currencies that something is charged in */
    public static function currencies(AlmanacRead $read): array
    {
        return array_keys(array_filter($read->sums(), fn (Money $sum): bool => $sum->isPositive()));
    }
}
