<?php

declare(strict_types=1);

namespace App\Queries\Roll;

use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Standing\NextKind;
use Acre\Core\Time\Instant;
use Acre\Wire\Calendar\CalendarDay;
use App\Queries\Cursor;
use App\Queries\Names\StandingFacts;
use App\Support\Row;
use App\View\Words;
use Generator;

/**
 * What the sentence shows, as the days of a calendar: when each name ends, is charged, must be decided on, can last be kept, and must be
 * verified.
 */
final readonly class RollCalendar
{
    /** Days before, by what the day is. */
    private const ALARMS = [
        'charge' => [1],
        'end' => [30, 7, 1],
        'ask_by' => [7, 1],
        'last_plain' => [3, 1],
        'last_at_all' => [7, 3, 1],
        'verify' => [7, 3, 1],
    ];

    private const SUMS = ['charge' => 'roll.calendar.costs', 'last_plain' => 'roll.calendar.then'];

    public function __construct(private ReadRoll $roll, private Rulebook $book, private Words $words, private Cursor $cursor)
    {
    }

    /** @return Generator<int, CalendarDay> */
    public function days(RollFilter $filter, Instant $today): Generator
    {
        $query = $this->roll
            ->names($filter, $today)
            ->select([
                'ascii',
                'unicode',
                'client_name',
                'registrar_name',
                'account_number',
                'lock',
                'intent',
                'ends_on',
                'next_kind',
                'verify_by',
                'facts',
            ])
            ->orderBy($filter->sort->column())
            ->orderBy('name_id');
        foreach ($this->cursor->rows($query) as $row) {
            yield from $this->of($row, $today);
        }
    }

    /** @return Generator<int, CalendarDay> */
    private function of(Row $row, Instant $today): Generator
    {
        $isWatched = $row->text('next_kind') === NextKind::Watched->value;
        $life = StandingFacts::unpack($row, $this->book, $today)->life;
        $ends = $row->instant('ends_on');
        if ($ends !== null) {
            yield $this->day(
                $row,
                EventKind::End->value,
                $ends,
                $isWatched ? 'roll.only_watched' : 'words.intent.'.$row->text('intent'),
                $isWatched || ! self::mustAct($life) ? [] : null,
            );
        }
        if ($isWatched) {
            return;
        }
        foreach ([EventKind::Charge, EventKind::AskBy, EventKind::LastPlain, EventKind::LastAtAll] as $kind) {
            $event = $life->coming($kind);
            // What follows an end that an auto-renewal is to prevent is no day to plan by.
            if (
                $event !== null &&
                ($kind === EventKind::Charge ||
                    self::mustAct($life) ||
                    ($life->facts->intent === Intent::Lapse && $kind === EventKind::LastAtAll))
            ) {
                yield $this->day(
                    $row,
                    $kind->value,
                    $event->at,
                    'words.intent.'.$row->text('intent'),
                    self::mustAct($life) || $kind === EventKind::Charge ? null : [],
                    $event->sum?->text(),
                    $event->certain,
                );
            }
        }
        $verify = $row->instant('verify_by');
        if ($verify !== null) {
            yield $this->day($row, 'verify', $verify, 'words.intent.'.$row->text('intent'));
        }
    }

    /** Whether somebody has to act for it to be kept. */
    private static function mustAct(Lifecycle $life): bool
    {
        return $life->facts->intent !== Intent::Lapse &&
            ($life->phase->isLate() ? ! $life->mayBeRenewed() : $life->facts->intent !== Intent::ByItself);
    }

    /** @param  list<int>|null  $alarms  null: those of its kind */
    private function day(
        Row $row,
        string $kind,
        Instant $at,
        string $meant,
        ?array $alarms = null,
        ?string $sum = null,
        bool $certain = true,
    ): CalendarDay {
        $about = $row->text('client_name').', '.trim($row->text('registrar_name').' '.$row->text('account_number')).'. ';

        return new CalendarDay(
            $row->text('ascii').'.'.$kind,
            $at->toDateTime(),
            $this->words->say("roll.calendar.{$kind}", ['name' => $row->text('unicode')]),
            $about.
                ucfirst($this->words->say($meant)).
                '.'.
                ($sum === null || ! isset(self::SUMS[$kind]) ? '' : ' '.$this->words->say(self::SUMS[$kind], ['sum' => $sum])).
                ($certain ? '' : ' '.$this->words->say('roll.calendar.perhaps')),
            route('names.show', $row->text('ascii')),
            $alarms ?? self::ALARMS[$kind],
        );
    }
}
