<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Drawing\Axis;
use Acre\Core\Drawing\LifeLine;
use Acre\Core\Drawing\Shape;
use Acre\Core\Lifecycle\Hold;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Standing\NextKind;
use Acre\Core\Standing\Severity;
use Acre\Core\Time\Instant;
use App\Queries\Names\StandingFacts;
use App\Support\Dates;
use App\Support\Row;

/** One line of the Roll, ready to be drawn. */
final readonly class RollRow
{
    /**
     * @param  list<Shape>  $shapes
     * @param  array<string, string>  $more  what the added columns say, by column
     * @param  string|null  $drift  how loudly the outside says otherwise: `alarm` or `differs`
     */
    private function __construct(
        public int $id,
        public string $ascii,
        public string $unicode,
        public string $client,
        public string $registrar,
        public string $account,
        public array $shapes,
        public string $told,
        public string $next,
        public string $lesser,
        public string $tone,
        public array $more,
        public ?string $drift,
    ) {
    }

    /**
     * @param  list<RollColumn>  $columns
     * @param  array<int, string>  $labels  of words, by id
     */
    public static function of(Row $row, Axis $axis, Rulebook $book, Instant $now, Words $words, array $columns, array $labels): self
    {
        $facts = StandingFacts::unpack($row, $book, $now);
        [$next, $lesser] = $words->next($row, $facts->life->terms->lateSum());

        return new self(
            $row->int('name_id'),
            $row->text('ascii'),
            $row->text('unicode'),
            $row->text('client_name'),
            $row->text('registrar_name'),
            $row->text('account_number'),
            LifeLine::of($facts->life, $axis, $facts->waiting, $row->instant('verify_by')),
            self::tell($facts, $row->text('next_kind') === NextKind::Watched->value, $row->instant('verify_by'), $words),
            $next,
            $lesser,
            match (Severity::from($row->int('severity'))) {
                Severity::Grave => 'is-bad',
                Severity::Soon => 'is-soon',
                Severity::Moving => 'is-move',
                Severity::Calm => '',
            },
            array_combine(
                array_map(fn (RollColumn $column): string => $column->value, $columns),
                array_map(fn (RollColumn $column): string => $column->text($row, $facts, $words, $labels), $columns),
            ),
            $facts->drift,
        );
    }

    /** The text equal of the drawing. */
    private static function tell(StandingFacts $facts, bool $isWatched, ?Instant $verifyBy, Words $words): string
    {
        $life = $facts->life;

        return trim(
            implode(
                '; ',
                array_filter(
                    [
                        $life->facts->created === null
                            ? null
                            : $words->say('roll.told.registered', ['day' => Dates::full($life->facts->created)]),
                        $life->facts->ends === null
                            ? $words->say('roll.told.end_not_known')
                            : $words->say($life->phase->isLate() ? 'roll.told.ended' : 'roll.told.paid_until', [
                                'day' => Dates::full($life->facts->ends),
                            ]),
                        $words->say($isWatched ? 'roll.only_watched' : 'words.intent.'.$life->facts->intent->value),
                        ...array_map(
                            fn (Hold $hold): string => $words->say('roll.told.hold', ['day' => Dates::full($hold->until)]),
                            $life->holdsNow(),
                        ),
                        $verifyBy === null ? null : $words->say('roll.told.verify', ['day' => Dates::full($verifyBy)]),
                        $facts->waiting === null
                            ? null
                            : $words->say($facts->waiting->isOver($life->now) ? 'roll.told.handover_late' : 'roll.told.handover', [
                                'day' => Dates::full($facts->waiting->by),
                            ]),
                    ],
                    is_string(...),
                ),
            ),
        );
    }
}
