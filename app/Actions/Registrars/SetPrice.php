<?php

declare(strict_types=1);

namespace App\Actions\Registrars;

use Acre\Core\Time\Instant;
use App\Actions\Standings\MakeStandings;
use App\Models\Price;
use App\Models\Registrar;
use App\Models\User;
use App\Support\HouseLog;
use Illuminate\Database\Connection;

/** Records what a registrar asks from a day on. */
final readonly class SetPrice
{
    private const BATCH = 1_000;

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
            foreach (array_chunk($prices, self::BATCH) as $some) {
                $this->some($registrar, $some, $since);
            }
            $this->standings->stale('registrar_id', $registrar->id);
            $said = count($prices) === 1 ? $prices[0] : ['prices' => count($prices), 'since' => $since->date()];
            $this->log->write('price_set', 'registrar', $registrar->id, $said, $user->id);
        });
        $this->standings->soon('registrar_id', $registrar->id);
    }

    /**
     * The earlier price of the same ends on that day; one of the same day is corrected; a later one stays, and ends these.
     *
     * @param  list<array<string, string>>  $prices
     */
    private function some(Registrar $registrar, array $prices, Instant $since): void
    {
        $said = 'WITH said AS (SELECT * FROM jsonb_to_recordset(:said::jsonb)
            AS s(suffix text, action text, amount numeric, currency text, tax_percent numeric))';
        $same = 'p.registrar_id = :registrar AND p.suffix = s.suffix AND p.action = s.action';
        $with = ['said' => json_encode($prices, JSON_THROW_ON_ERROR), 'registrar' => $registrar->id, 'since' => $since->isoSecond()];
        $this->database->delete("{$said} DELETE FROM prices p USING said s WHERE {$same} AND lower(p.span) = :since::timestamptz", $with);
        $this->database->update(
            "{$said} UPDATE prices p SET span = tstzrange(lower(p.span), :until::timestamptz), updated_at = now()
                FROM said s WHERE {$same} AND p.span @> :since::timestamptz",
            $with + ['until' => $since->isoSecond()],
        );
        $this->database->insert(
            "{$said} INSERT INTO prices (registrar_id, suffix, action, amount, currency, tax_percent, span, created_at, updated_at)
                SELECT :to, s.suffix, s.action, s.amount, s.currency, s.tax_percent, tstzrange(:from::timestamptz,
                    (SELECT min(lower(p.span)) FROM prices p WHERE {$same} AND lower(p.span) > :since::timestamptz)), now(), now()
                FROM said s",
            $with + ['from' => $since->isoSecond(), 'to' => $registrar->id],
        );
    }
}
