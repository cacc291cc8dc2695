<?php

declare(strict_types=1);

namespace App\Http\Almanac;

use Acre\Core\Money\Money;
use Acre\Wire\Calendar\Calendar;
use Acre\Wire\Lists\ListKind;
use Acre\Wire\Lists\ListWriter;
use App\Models\Account;
use App\Models\Registrar;
use App\Queries\Almanac\AlmanacCalendar;
use App\Queries\Almanac\AlmanacRead;
use App\Queries\Almanac\Asked;
use App\Queries\Almanac\ReadAlmanac;
use App\Queries\Almanac\ReadDeadlines;
use App\Queries\Almanac\Refusals;
use App\Queries\Almanac\TooManyCharges;
use App\Support\TradeClock;
use App\View\AlmanacDrawing;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The Almanac: what is charged over a year or two, and whether the money is there. Its address holds all of its state. */
final readonly class AlmanacController
{
    /** Rows of the table before the rest is left to the list that can be downloaded. */
    private const ROWS = 120;

    /** Accounts that can be chosen in the sentence; all others by their own page. */
    private const LISTED = 60;

    /** Accounts that names can be moved to in a what-if. */
    private const TARGETS = 500;

    private const HEADINGS = [
        'day',
        'registrar',
        'account',
        'what',
        'name',
        'term_ends',
        'amount',
        'currency',
        'balance_after',
        'again',
        'by_credit',
    ];

    public function __construct(private ReadAlmanac $read, private Words $words)
    {
    }

    public function show(AlmanacRequest $request, Refusals $refusals, ReadDeadlines $deadlines): View
    {
        $asked = $request->asked();
        try {
            [$read, $today] = $this->both($asked);
        } catch (TooManyCharges) {
            return $this->tooMany($asked);
        }
        $all = $read->rows();
        $rows = array_slice($all, 0, self::ROWS);

        return view('almanac.show', [
            'asked' => $asked,
            'read' => $read,
            'today' => $today,
            'about' => AboutScope::of($asked->scope),
            'rows' => $rows,
            'more' => count($all) - count($rows),
            'topUps' => $read->topUps($rows),
            'deadlines' => $deadlines->of($asked),
            'refusals' => $refusals->of($rows),
            'drawings' => array_combine(
                AlmanacDrawing::currencies($read),
                array_map(
                    fn (string $currency): AlmanacDrawing => new AlmanacDrawing($read, $currency, $today),
                    AlmanacDrawing::currencies($read),
                ),
            ),
            'accounts' => Account::query()
                ->with('registrar')
                ->orderBy('number')
                ->limit(self::LISTED)
                ->get(),
            'targets' => Account::query()
                ->with('registrar')
                ->where('access', 'ours')
                ->orderBy('number')
                ->limit(self::TARGETS)
                ->get()
                ->mapWithKeys(fn (Account $one): array => [$one->id => "{$one->registrar->name} {$one->number}"])
                ->sort()
                ->all(),
            'registrars' => Registrar::query()->orderBy('name')->limit(self::LISTED)->get(['id', 'name']),
            'address' => fn (array $change): string => route('almanac', [...$asked->address(), ...$change]),
            'words' => $this->words,
        ]);
    }

    /** The same as a list, a line a charge. */
    public function list(AlmanacRequest $request): StreamedResponse|RedirectResponse
    {
        $asked = $request->asked();
        try {
            $read = $this->read->handle($asked, $this->most());
        } catch (TooManyCharges) {
            return to_route('almanac', $asked->address());
        }

        return response()->streamDownload(
            fn () => ListWriter::write(ListKind::Csv, 'php://output', self::HEADINGS, self::lines($read)),
            "almanac-{$read->asked->scope->text()}.csv",
            ['Content-Type' => 'text/csv; charset=utf-8'],
        );
    }

    /** The same as days of a calendar; what can't be paid is told before. */
    public function calendar(AlmanacRequest $request, AlmanacCalendar $calendar, TradeClock $clock): StreamedResponse|RedirectResponse
    {
        $asked = $request->asked();
        try {
            $read = $this->read->handle($asked, $this->most());
        } catch (TooManyCharges) {
            return to_route('almanac', $asked->address());
        }
        $host = parse_url(config()->string('app.url'), PHP_URL_HOST);

        return response()->streamDownload(
            function () use ($calendar, $read, $host, $clock): void {
                foreach (
                    Calendar::text(
                        $calendar->days($read),
                        'Acre Roll',
                        is_string($host) ? $host : 'acre-roll',
                        $clock->today()->toDateTime(),
                    ) as $piece
                ) {
                    echo $piece;
                }
            },
            "almanac-{$asked->scope->text()}.ics",
            ['Content-Type' => 'text/calendar; charset=UTF-8'],
        );
    }

    /**
     * What is asked for, and the same with nothing otherwise where something is.
     *
     * @return array{AlmanacRead, AlmanacRead|null}
     *
     * @throws TooManyCharges
     */
    private function both(Asked $asked): array
    {
        return $asked->isAsToday()
            ? [$this->read->handle($asked, $this->most()), null]
            : [$this->read->handle($asked, intdiv($this->most(), 2)), $this->read->handle($asked->asToday(), intdiv($this->most(), 2))];
    }

    /** Charges that a page holds in its memory. */
    private function most(): int
    {
        return config()->integer('house.charges_a_page');
    }

    /** Where less can be chosen. */
    private function tooMany(Asked $asked): View
    {
        return view('almanac.too-many', [
            'shorter' => $asked->months === 12 ? null : route('almanac', ['months' => '12'] + $asked->address()),
            'asToday' => $asked->isAsToday() ? null : route('almanac', $asked->asToday()->address()),
            'registrars' => Registrar::query()->orderBy('name')->limit(self::LISTED)->get(['id', 'name']),
            'months' => $asked->months,
        ]);
    }

    /** @return iterable<list<string>> */
    private static function lines(AlmanacRead $read): iterable
    {
        foreach ($read->rows() as $row) {
            foreach ($row->entries as $entry) {
                yield [
                    $entry->at->date(),
                    $row->run->account->registrar,
                    $row->run->account->number,
                    $entry->kind->value,
                    $entry->charge->name ?? '',
                    $entry->charge?->ends->date() ?? '',
                    // What it is says whether it is paid or paid in: cells that begin with a minus are taken for formulas.
                    $entry->amount->decimal(),
                    $entry->amount->currency,
                    $entry->after()?->decimal() ?? '',
                    $entry->again?->date() ?? '',
                    $entry->credited === 0 ? '' : Money::ofMinor($entry->credited, $entry->amount->currency)->decimal(),
                ];
            }
        }
    }
}
