<?php

declare(strict_types=1);

namespace App\Http\Clients;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Money\Money;
use Acre\Core\Money\Sums;
use Acre\Core\Renewal\FewerEnds;
use Acre\Core\Time\Instant;
use App\Actions\Money\JudgeRenewals;
use App\Models\Client;
use App\Queries\Clients\ClientSheet;
use App\Queries\Clients\ReadClientYear;
use App\Queries\Clients\YearOfName;
use App\Queries\Names\CaseFiles;
use App\Queries\Tallies;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\View\View;

/** A client's year, to be printed and given to them; and how their names could end on fewer days. */
final readonly class ClientYearController
{
    /** Names that are worked out together; whoever has more chooses on the Roll. */
    public const MOST = 200;

    public function __construct(private TradeClock $clock, private Words $words)
    {
    }

    public function show(Client $client, ReadClientYear $year, Tallies $tallies): View
    {
        $today = $this->clock->today();
        $names = $year->of($client, $today);

        return view('clients.year', [
            'client' => $client,
            'today' => $today,
            'names' => $names,
            'count' => ($tallies->by('client_id', [$client])[$client->id] ?? null)?->int('names') ?? 0,
            'spent' => self::sums(array_merge(...array_map(fn (YearOfName $one): array => $one->spent, $names))),
            'coming' => self::sums(array_map(fn (YearOfName $one): ?Money => $one->coming, $names)),
            'saved' => self::sums(array_map(fn (YearOfName $one): ?Money => $one->isAdvised() ? $one->coming : null, $names)),
            'words' => $this->words,
        ]);
    }

    public function ends(Client $client, ClientSheet $sheet, CaseFiles $cases, JudgeRenewals $renewals): View
    {
        $now = $this->clock->now();
        $rows = $sheet->names($client->id);
        $ids = array_map(fn (Row $row): int => $row->int('name_id'), array_slice($rows, 0, self::MOST));
        $files = array_values($cases->held($ids, $now));
        $renewals->readAhead($files, ['years' => 1], $now);
        $names = $ends = [];
        foreach ($files as $file) {
            $name = $file->facts->name->unicode;
            if ($file->facts->ends !== null && $file->account->ours && $file->facts->intent !== Intent::Lapse) {
                $ends[$name] = $file->facts->ends;
                $names[$name] = fn (int $years) => $renewals->of($file, ['years' => $years], $now);
            }
        }

        return view('clients.ends', [
            'client' => $client,
            'choices' => FewerEnds::of($names, $ends, $now),
            'names' => count($names),
            'months' => count(array_unique(array_map(fn (Instant $end): string => substr($end->date(), 0, 7), $ends))),
            'count' => count($rows),
        ]);
    }

    /**
     * @param  list<Money|null>  $all
     * @return string one after the other; empty: none
     */
    private static function sums(array $all): string
    {
        return implode(' + ', array_map(fn (Money $sum): string => $sum->text(), array_values(Sums::of($all))));
    }
}
