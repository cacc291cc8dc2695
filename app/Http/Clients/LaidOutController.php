<?php

declare(strict_types=1);

namespace App\Http\Clients;

use Acre\Core\Money\Money;
use Acre\Core\Money\Sums;
use Acre\Wire\Lists\ListKind;
use Acre\Wire\Lists\ListWriter;
use App\Models\Client;
use App\Queries\Clients\LaidOut;
use App\Queries\Clients\ReadLaidOut;
use Illuminate\View\View;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What was laid out for a client in a span, to be printed or taken away as a list; no invoice. */
final readonly class LaidOutController
{
    private const HEADINGS = ['day', 'name', 'what', 'laid_out', 'surcharge', 'total', 'currency'];

    public function __construct(private ReadLaidOut $read)
    {
    }

    public function show(Client $client, LaidOutRequest $request): View
    {
        [$from, $until] = $request->span();
        $lines = $this->read->of($client, $from, $until);

        return view('clients.laid-out', [
            'client' => $client,
            'from' => $from,
            'until' => $until,
            'lines' => array_slice($lines, 0, ReadLaidOut::MOST),
            'count' => count($lines),
            'laidOut' => self::sums(array_map(fn (LaidOut $one): Money => $one->sum, $lines)),
            'surcharge' => self::sums(array_map(fn (LaidOut $one): Money => $one->surcharge, $lines)),
            'total' => self::sums(array_map(fn (LaidOut $one): Money => $one->total(), $lines)),
        ]);
    }

    public function list(Client $client, LaidOutRequest $request): StreamedResponse
    {
        [$from, $until] = $request->span();
        $rows = array_map(fn (LaidOut $one): array => [
            $one->on->date(),
            $one->name,
            $one->kind,
            $one->sum->decimal(),
            $one->surcharge->decimal(),
            $one->total()->decimal(),
            $one->sum->currency,
        ], $this->read->of($client, $from, $until));

        return response()->streamDownload(
            fn () => ListWriter::write(ListKind::Csv, 'php://output', self::HEADINGS, $rows),
            "laid-out-{$from->date()}-{$until->date()}.csv",
            ['Content-Type' => 'text/csv; charset=utf-8'],
        );
    }

    /**
     * @param  list<Money>  $all
     * @return list<string>
     */
    private static function sums(array $all): array
    {
        return array_map(fn (Money $sum): string => $sum->text(), array_values(Sums::of($all)));
    }
}
