<?php

declare(strict_types=1);

namespace Acre\Wire\Calendar;

use DateTimeImmutable;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;

/** A calendar of whole days (RFC 5545), written day by day; nothing holds the whole of it. */
final class Calendar
{
    /**
     * @param  iterable<CalendarDay>  $days
     * @param  string  $name  what a calendar program calls it
     * @param  string  $host  behind the @ of each UID
     * @return iterable<string> its text, in pieces
     */
    public static function text(iterable $days, string $name, string $host, DateTimeImmutable $now): iterable
    {
        $calendar = new VCalendar(['PRODID' => '-//Acre Roll//EN', 'NAME' => $name, 'X-WR-CALNAME' => $name], false);
        $calendar->add('VERSION', '2.0');
        // It has no type of its own (RFC 7986 §5.7).
        $calendar->add('REFRESH-INTERVAL', 'P1D', ['VALUE' => 'DURATION']);
        $text = $calendar->serialize();
        yield substr($text, 0, (int) strpos($text, 'END:VCALENDAR'));
        foreach ($days as $day) {
            yield self::event($calendar, $day, $host, $now);
        }
        yield "END:VCALENDAR\r\n";
    }

    private static function event(VCalendar $calendar, CalendarDay $day, string $host, DateTimeImmutable $now): string
    {
        $event = $calendar->createComponent(
            'VEVENT',
            [
                'UID' => $day->key.'@'.$host,
                'SUMMARY' => $day->summary,
                'DESCRIPTION' => $day->description,
                'URL' => $day->address,
                'TRANSP' => 'TRANSPARENT',
            ],
            false,
        );
        if (! ($event instanceof VEvent)) {
            return '';
        }
        $event->add('DTSTAMP', $now);
        $event->add('DTSTART', $day->day, ['VALUE' => 'DATE']);
        foreach ($day->alarms as $before) {
            $alarm = $calendar->createComponent(
                'VALARM',
                ['ACTION' => 'DISPLAY', 'DESCRIPTION' => $day->summary, 'TRIGGER' => "-P{$before}D"],
                false,
            );
            $event->add($alarm);
        }

        return $event->serialize();
    }
}
