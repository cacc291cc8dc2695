<?php

declare(strict_types=1);

namespace App\Http\Roll;

use Acre\Wire\Calendar\Calendar;
use Acre\Wire\Lists\ListKind;
use Acre\Wire\Lists\ListWriter;
use App\Models\CalendarAddress;
use App\Queries\Roll\ExportRoll;
use App\Queries\Roll\RollCalendar;
use App\Queries\Roll\RollFilter;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Takes away what the sentence shows: as a list in four forms, as a calendar, or at an address that a calendar program reads. */
final readonly class ExportController
{
    public function __construct(
        private ExportRoll $away,
        private RollCalendar $calendar,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    public function list(RollRequest $request, string $kind): StreamedResponse
    {
        $form = ListKind::from($kind);
        $filter = $request->filter();
        $today = $this->clock->today();
        $this->log->write('taken_away', 'roll', null, ['as' => $kind, 'sentence' => json_encode($filter->words(), JSON_THROW_ON_ERROR)]);

        return $this->answer(
            function () use ($form, $filter, $today): void {
                $rows = $this->away->rows($filter, $today);
                if ($form === ListKind::Csv || $form === ListKind::Json) {
                    ListWriter::write($form, 'php://output', ExportRoll::HEADINGS, $rows, ExportRoll::kinds());

                    return;
                }
                // A spreadsheet is an archive and has to be whole before its first byte.
                $file = (string) tempnam(storage_path('framework/cache'), 'away-');
                try {
                    ListWriter::write($form, $file, ExportRoll::HEADINGS, $rows, ExportRoll::kinds());
                    readfile($file);
                } finally {
                    unlink($file);
                }
            },
            $form->mime(),
            'acre-roll-'.$today->date().'.'.$kind,
        );
    }

    public function calendar(RollRequest $request): StreamedResponse
    {
        $this->log->write('taken_away', 'roll', null, [
            'as' => 'calendar',
            'sentence' => json_encode($request->filter()->words(), JSON_THROW_ON_ERROR),
        ]);

        return $this->days($request->filter(), 'attachment');
    }

    /** Asked for by a program that has not signed in: the address itself is the right to look. */
    public function subscribed(string $token): StreamedResponse
    {
        $address = CalendarAddress::of($token) ?? abort(404);
        $address->update(['asked_at' => now()]);

        return $this->days(RollFilter::read($address->sentence), 'inline');
    }

    public function subscribe(RollRequest $request): RedirectResponse
    {
        $token = Str::random(48);
        CalendarAddress::query()->create([
            'user_id' => $request->person()->id,
            'sentence' => $request->filter()->words(),
            'digest' => CalendarAddress::digest($token),
        ]);
        $this->log->write('calendar_given', 'roll', null, ['sentence' => json_encode($request->filter()->words(), JSON_THROW_ON_ERROR)]);

        return to_route('calendars')->with('address', route('calendar.subscribed', $token));
    }

    private function days(RollFilter $filter, string $how): StreamedResponse
    {
        $today = $this->clock->today();
        $host = parse_url(config()->string('app.url'), PHP_URL_HOST);

        return $this->answer(
            function () use ($filter, $today, $host): void {
                foreach (
                    Calendar::text(
                        $this->calendar->days($filter, $today),
                        'Acre Roll',
                        is_string($host) ? $host : 'acre-roll',
                        $today->toDateTime(),
                    ) as $piece
                ) {
                    echo $piece;
                }
            },
            'text/calendar; charset=UTF-8',
            'acre-roll.ics',
            $how,
        );
    }

    private function answer(callable $write, string $mime, string $file, string $how = 'attachment'): StreamedResponse
    {
        return new StreamedResponse(
            function () use ($write): void {
                set_time_limit(600);
                $write();
            },
            200,
            ['Content-Type' => $mime, 'Content-Disposition' => "{$how}; filename=\"{$file}\"", 'X-Accel-Buffering' => 'no'],
        );
    }
}
