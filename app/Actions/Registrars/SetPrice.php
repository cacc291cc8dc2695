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
        $this->all($user, $registrar, [$price], $since);
    }

    /**
     * All of them or none.
     *
     * @param  list<array<string, string>>  $prices
     */
    public function all(User $user, Registrar $registrar, array $prices, Instant $since): void
    {
        $this->database->transaction(function () use ($user, $registrar, $prices, $since): void {
            Registrar::query()->lockForUpdate()->findOrFail($registrar->id);
            foreach ($prices as $price) {
                $this->one($registrar, $price, $since);
            }
            $this->standings->stale('registrar_id', $registrar->id);
            $said = count($prices) === 1 ? $prices[0] : ['prices' => count($prices), 'since' => $since->date()];
            $this->log->write('price_set', 'registrar', $registrar->id, $said, $user->id);
        });
        $this->standings->soon('registrar_id', $registrar->id);
    }

    /** @param  array<string, string>  $price */
    private function one(Registrar $registrar, array $price, Instant $since): void
    {
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
    }
}
