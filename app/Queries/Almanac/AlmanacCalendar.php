<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Balance\EntryKind;
use Acre\Wire\Calendar\CalendarDay;
use App\View\Words;
use Generator;

/** What the Almanac shows, as the days of a calendar: a day and account each. */
final readonly class AlmanacCalendar
{
    /** Names that are named. */
    private const NAMED = 20;

    /** Days before, by what the day is. */
    private const ALARMS = ['charged' => [], 'refused' => [14, 7, 3, 1], 'top_up' => [3, 1]];

    public function __construct(private Words $words)
    {
    }

    /** @return Generator<int, CalendarDay> */
    public function days(AlmanacRead $read): Generator
    {
        foreach ($read->rows() as $row) {
            $names = $row->names();
            $with = [
                'account' => "{$row->run->account->registrar} {$row->run->account->number}",
                'sum' => $row->sum()->text(),
            ];
            yield new CalendarDay(
                "almanac.{$row->run->account->id}.{$row->run->currency}.{$row->at()->date()}.{$row->kind()->value}",
                $row->at()->toDateTime(),
                $row->kind() === EntryKind::TopUp
                    ? $this->words->say('almanac.calendar.top_up', $with)
                    : $this->words->count("almanac.calendar.{$row->kind()->value}", count($names), $with),
                implode(', ', array_slice($names, 0, self::NAMED)).(count($names) > self::NAMED ? ' …' : ''),
                route('almanac', ['of' => "account-{$row->run->account->id}"]),
                self::ALARMS[$row->kind()->value],
            );
        }
    }
}
