<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Drawing\Axis;
use Acre\Core\Drawing\Bracket;
use Acre\Core\Drawing\Label;
use Acre\Core\Drawing\Labels;
use Acre\Core\Drawing\LifeLine;
use Acre\Core\Drawing\PlacedLabel;
use Acre\Core\Drawing\Shape;
use Acre\Core\Drawing\Tick;
use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Time\Instant;
use Acre\Core\Title\Chain;
use App\Support\Dates;

/** The folio's life line with its labels, for one width. Pixels; the axis lies within a margin. */
final readonly class FolioDrawing
{
    private const MARGIN = 6;

    private const LANE = 18;

    /**
     * @param  list<Tick>  $ticks  places in pixels
     * @param  list<Shape>  $shapes  places in per cent
     * @param  list<PlacedLabel>  $above
     * @param  list<PlacedLabel>  $below
     * @param  list<float>  $links  pixels: where the name went to another account
     */
    private function __construct(
        public int $width,
        public array $ticks,
        public array $shapes,
        public array $above,
        public array $below,
        public array $links,
        public float $today,
        public string $told,
    ) {
    }

    public static function of(Lifecycle $life, Chain $chain, ?Waiting $waiting, Words $words, int $width, ?Instant $verifyBy = null): self
    {
        $first = $life->facts->created ?? ($chain->knownSince() ?? $life->now->plusYears(-1));
        $renewed = $life->renewedUntil();
        $last = Instant::latest($life->now->plusYears(1), $renewed ?? $life->now, $life->event(EventKind::Released)->at ?? $life->now);
        // Of an old name only the last years are drawn: its past matters less than its next year, and least when it is late.
        $past = $life->phase->isLate() ? 1 : ($width < 600 ? 3 : 6);
        $axis = Axis::ofYears(Instant::latest($first, $life->now->plusYears(-$past)), $last);
        $x = fn (Instant $at): float => self::MARGIN + ($axis->at($at) / 100) * ($width - 2 * self::MARGIN);

        $above = [];
        $below = [new Label($words->say('drawing.today'), $x($life->now), 'today')];
        $over = $life->over();
        if ($over !== null) {
            $above[] = new Label(Dates::full($over), $x($over), 'strong');
            $below[] = new Label(
                $words->say($life->isCutShort() ? 'drawing.deleted' : ($life->phase->isLate() ? 'drawing.ended' : 'drawing.end')),
                $x($over),
                $life->phase->isLate() ? 'late' : 'plain',
            );
            if ($life->since === null && $life->facts->intent === Intent::ByItself && $renewed !== null) {
                $above[] = new Label($words->say('drawing.renewed'), $x($renewed));
            }
        }
        foreach ($life->holdsNow() as $hold) {
            $below[] = new Label(
                $words->say(($width < 600 ? 'drawing.hold_short.' : 'drawing.hold.').$hold->reason->value, [
                    'until' => $words->near($hold->until),
                ]),
                $x($hold->from),
                'hold',
                max(2, $x($hold->until) - $x($hold->from)),
            );
        }
        $charge = $life->coming(EventKind::Charge);
        if ($charge !== null) {
            $below[] = new Label(
                $words->say($charge->sum === null ? 'drawing.charge_unpriced' : 'drawing.charge', [
                    'at' => $words->near($charge->at),
                    'sum' => $charge->sum?->text() ?? '',
                ]),
                $x($charge->at),
            );
        }
        if ($life->phase->isLate() && ($lastAtAll = $life->coming(EventKind::LastAtAll)) !== null) {
            $above[] = new Label($words->say('drawing.last', ['at' => $words->near($lastAtAll->at)]), $x($lastAtAll->at), 'late');
        }
        if ($verifyBy !== null && ! $verifyBy->hasComeAt($life->now)) {
            $above[] = new Label($words->say('drawing.verify', ['by' => $words->near($verifyBy)]), $x($verifyBy), 'flag');
        }
        if ($waiting !== null) {
            $above[] = new Label(
                $words->say($waiting->isOver($life->now) ? 'drawing.no_answer' : 'drawing.answer', ['by' => $words->near($waiting->by)]),
                $x($waiting->by),
                'flag',
            );
        }
        if ($life->facts->created !== null && $axis->covers($life->facts->created)) {
            $below[] = new Label($words->say('drawing.registered'), $x($life->facts->created));
        }
        $links = [];
        foreach (array_slice($chain->holdings, 1) as $holding) {
            if ($holding->span->from !== null && $axis->covers($holding->span->from)) {
                $links[] = $x($holding->span->from);
                $above[] = new Label($words->say('drawing.handed', ['account' => $holding->account]), $x($holding->span->from));
            }
        }

        return new self(
            $width,
            array_map(
                fn (Tick $tick): Tick => new Tick(
                    self::MARGIN + ($tick->x / 100) * ($width - 2 * self::MARGIN),
                    $tick->label,
                    $tick->strong,
                ),
                $axis->years($width),
            ),
            array_values(
                array_filter(LifeLine::of($life, $axis, $waiting, $verifyBy), fn (Shape $shape): bool => ! ($shape instanceof Bracket)),
            ),
            Labels::place($above, $width, [$x($life->now)]),
            Labels::place($below, $width, [$x($life->now)]),
            $links,
            $x($life->now),
            implode('; ', array_map(fn (Label $label): string => $label->text, [...$above, ...$below])),
        );
    }

    /** Pixels of a shape's place. */
    public function x(float $percent): float
    {
        return round(self::MARGIN + ($percent / 100) * ($this->width - 2 * self::MARGIN), 1);
    }

    /** Pixels of a shape's extent. */
    public function span(float $percent): float
    {
        return round(($percent / 100) * ($this->width - 2 * self::MARGIN), 1);
    }

    /** The bar's upper edge. */
    public function bar(): int
    {
        return 30 + self::LANE * max(1, self::lanes($this->above));
    }

    public function aboveY(PlacedLabel $label): int
    {
        return $this->bar() - 10 - self::LANE * $label->lane;
    }

    public function belowY(PlacedLabel $label): int
    {
        return $this->bar() + 36 + self::LANE * $label->lane;
    }

    public function height(): int
    {
        return $this->bar() + 30 + self::LANE * max(1, self::lanes($this->below));
    }

    /** @param  list<PlacedLabel>  $labels */
    private static function lanes(array $labels): int
    {
        return $labels === [] ? 0 : 1 + max(array_map(fn (PlacedLabel $label): int => $label->lane, $labels));
    }
}
