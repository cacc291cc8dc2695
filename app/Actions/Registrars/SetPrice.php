<?php

declare(strict_types=1);

namespace App\Actions\Registrars;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Standings\MakeStandings;
use App\Models\Price;
use App\Models\Registrar;
use App\Models\User;
use App\Support\HouseLog;
use Illuminate\Database\Connection;

/** Writes down what a registrar asks from a day on. */
final readonly class SetPrice
{
    public function __construct(private Connection $database, private MakeStandings $standings, private HouseLog $log)
    {
    }

    /** @param  array<string, string>  $price  suffix, action, amount, currency, tax_percent */
    public function handle(User $user, Registrar $registrar, array $price, Instant $since): void
    {
        $this->database->transaction(function () use ($user, $registrar, $price, $since): void {
            Registrar::query()->lockForUpdate()->findOrFail($registrar->id);
            $same = Price::query()
                ->where('registrar_id', $registrar->id)
                ->where('suffix', $price['suffix'])
                ->where('action', $price['action']);
            $later = $same
                ->clone()
                ->whereRaw('lower(span) > ?', [$since->isoSecond()])
                ->orderByRaw('lower(span)')
                ->first();
            $same
                ->clone()
                ->whereRaw('lower(span) = ?', [$since->isoSecond()])
                ->delete();
            $before = $same
                ->clone()
                ->whereRaw('span @> ?::timestamptz', [$since->isoSecond()])
                ->first();
            $before?->update(['span' => Span::of($before->span->from, $since)]);
            Price::query()->create(['registrar_id' => $registrar->id, 'span' => Span::of($since, $later?->span->from)] + $price);
            $this->standings->stale('registrar_id', $registrar->id);
            $this->log->write('price_set', 'registrar', $registrar->id, $price, $user->id);
        });
        $this->standings->soon('registrar_id', $registrar->id);
    }
}
