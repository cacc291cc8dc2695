<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

use Acre\Core\Time\Instant;

/** One time axis: where an instant lies, in per cent of the width. */
final readonly class Axis
{
    private function __construct(public Instant $from, public Instant $until)
    {
    }

    public static function between(Instant $from, Instant $until): self
    {
        return new self($from, Instant::latest($until, $from->plusDays(1)));
    }

    /** The axis that all rows of the Roll share: half a year back, a year and a half ahead, in whole months. */
    public static function ofTheRoll(Instant $today): self
    {
        $month = Instant::of(substr($today->date(), 0, 7).'-01');

        return new self($month->plusMonths(-6), $month->plusMonths(18));
    }

    /** Whole years around the two. */
    public static function ofYears(Instant $from, Instant $until): self
    {
        return new self(Instant::day((int) substr($from->date(), 0, 4), 1, 1), Instant::day((int) substr($until->date(), 0, 4) + 1, 1, 1));
    }

    /** 0 to 100; what lies outside is put at the edge. */
    public function at(Instant $instant): float
    {
        return round(100 * max(0, min(1, ($instant->epoch - $this->from->epoch) / ($this->until->epoch - $this->from->epoch))), 3);
    }

    public function covers(Instant $instant): bool
    {
        return $instant->epoch >= $this->from->epoch && $instant->epoch <= $this->until->epoch;
    }

    /**
     * A tick a month, labelled each third one; a January by its year.
     *
     * @return list<Tick>
     */
    public function months(): array
    {
        $ticks = [];
        for ($at = $this->from; $at->epoch < $this->until->epoch; $at = $at->plusMonths(1)) {
            $month = (int) gmdate('n', $at->epoch);
            $label = $month === 1 ? gmdate('Y', $at->epoch) : ($month % 3 === 1 ? gmdate('M', $at->epoch) : '');
            $ticks[] = new Tick($this->at($at), $label, $month === 1);
        }

        return $ticks;
    }

    /**
     * A tick a year, labelled as often as there is room.
     *
     * @param  float  $width  of the drawing, in pixels
     * @return list<Tick>
     */
    public function years(float $width): array
    {
        $count = max(1, (int) substr($this->until->date(), 0, 4) - (int) substr($this->from->date(), 0, 4));
        $each = max(1, (int) ceil($count * 44 / $width));
        $ticks = [];
        for ($year = 0; $year < $count; $year++) {
            $at = $this->from->plusYears($year);
            $ticks[] = new Tick($this->at($at), $year % $each === 0 ? substr($at->date(), 0, 4) : '', false);
        }

        return $ticks;
    }
}
