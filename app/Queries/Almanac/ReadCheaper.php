<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Money\Money;
use Acre\Core\Price\Exchange;
use Acre\Core\Price\Move;
use Acre\Core\Price\Rate;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Models\Account;
use App\Queries\Money\ExchangeRates;
use App\Queries\Money\PriceBook;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;

/**
 * What the names of a scope would cost at each registrar where an account is ours, over some years. It reads names by registrar, suffix
 * and price, so that it costs the same however many there are of each.
 */
final readonly class ReadCheaper
{
    /** Whether a privacy service was bought with it. */
    private const PRIVACY = "EXISTS (SELECT FROM extras e WHERE e.registration_id = r.id AND e.kind = 'privacy' AND e.ended_on IS NULL)";

    public function __construct(
        private Connection $database,
        private PriceBook $prices,
        private Rulebook $rules,
        private ExchangeRates $rates,
    ) {
    }

    /** @return list<Cheaper> what saves most first */
    public function handle(Scope $scope, int $years, Instant $now): array
    {
        $groups = Row::all($this->groups($scope, $now)->get());
        $accounts = Account::query()->with('registrar')->where('access', 'ours')->orderBy('id')->get()->unique('registrar_id');
        $registrars = array_unique([
            ...array_map(fn (Row $group): int => $group->int('registrar_id'), $groups),
            ...array_map(fn (Account $account): int => $account->registrar_id, array_values($accounts->all())),
        ]);
        $prices = $this->prices->of($registrars, $now);
        $exchange = $this->rates->exchange();
        $found = [];
        foreach ($accounts as $account) {
            foreach ($groups as $group) {
                $isThere = $group->int('registrar_id') === $account->registrar_id;
                $move = $isThere ? null : $this->move($group, $account, $prices, $exchange, $years, $now);
                if ($move?->saves()->isPositive() === true) {
                    $key = "{$account->id} {$move->stays->currency}";
                    $found[$key] = ($found[$key] ?? Cheaper::at($account, $move->stays->currency))->with($group, $move);
                }
            }
        }
        usort($found, fn (Cheaper $one, Cheaper $other): int => $other->saves->minor() <=> $one->saves->minor());

        return $found;
    }

    /**
     * Names that would be cheaper in an account.
     *
     * @return list<int>
     */
    public function names(Scope $scope, Account $account, int $years, Instant $now): array
    {
        $ids = [];
        foreach ($this->handle($scope, $years, $now) as $cheaper) {
            foreach ($cheaper->account->is($account) ? $cheaper->groups : [] as $group) {
                $own = $group->textOrNull('own_renewal');
                $names = $this->scoped($scope)
                    ->where('s.registrar_id', $group->int('registrar_id'))
                    ->where('s.suffix', $group->text('suffix'))
                    ->when(
                        $own === null,
                        fn (Builder $all): Builder => $all->whereNull('r.own_renewal'),
                        fn (Builder $all): Builder => $all
                            ->where('r.own_renewal', $own)
                            ->where('r.own_currency', $group->text('own_currency')),
                    )
                    ->whereRaw(self::PRIVACY.' = ?', [$group->bool('privacy')])
                    ->orderBy('s.name_id')
                    ->pluck('s.name_id');
                array_push($ids, ...array_filter($names->all(), is_int(...)));
            }
        }

        return array_values(array_unique($ids));
    }

    /** @param  array<int, array<string, array<string, Rate>>>  $prices */
    private function move(Row $group, Account $account, array $prices, Exchange $exchange, int $years, Instant $now): ?Move
    {
        $suffix = $group->text('suffix');
        $there = $prices[$account->registrar_id][$suffix] ?? [];
        $own = $group->textOrNull('own_renewal');
        $here = $own === null
            ? $prices[$group->int('registrar_id')][$suffix]['renew'] ?? null
            : new Rate(Money::of($own, $group->text('own_currency')), '0');

        if ($here === null || ! isset($there['transfer'], $there['renew'])) {
            return null;
        }
        $in = fn (?Rate $rate): ?Rate => $rate === null ? null : $exchange->rate($rate, $here->net->currency);
        [$transfer, $renew] = [$in($there['transfer']), $in($there['renew'])];
        // Where one of the lists has no price for it, it is left out of both.
        $isPrivate = $group->bool('privacy');
        $privacy = $isPrivate ? $in($prices[$group->int('registrar_id')][$suffix]['privacy'] ?? null) : null;

        return $transfer === null || $renew === null ? null : Move::of(
            $here,
            $transfer,
            $renew,
            $this->rules->for($suffix, $now)->moveAdds->value,
            $years,
            $privacy,
            $isPrivate ? $in($there['privacy'] ?? null) : null,
        );
    }

    private function groups(Scope $scope, Instant $now): Builder
    {
        return $this->scoped($scope)
            ->groupBy('s.registrar_id', 's.suffix', 'r.own_renewal', 'r.own_currency', 'privacy')
            ->selectRaw(self::PRIVACY.' AS privacy')
            ->selectRaw(
                "s.registrar_id, s.suffix, r.own_renewal, r.own_currency, count(*) AS names,
                    count(*) FILTER (WHERE s.held_until > ?::timestamptz AND s.held_until < 'infinity') AS held,
                    max(s.held_until) FILTER (WHERE s.held_until > ?::timestamptz AND s.held_until < 'infinity') AS held_until",
                [$now->isoSecond(), $now->isoSecond()],
            );
    }

    /** Names that are to be kept, and are in their term. */
    private function scoped(Scope $scope): Builder
    {
        $column = match ($scope->kind) {
            ScopeKind::Account => 's.account_id',
            ScopeKind::Registrar => 's.registrar_id',
            ScopeKind::Client => 's.client_id',
            ScopeKind::All => null,
        };

        return $this->database
            ->table('standings AS s')
            ->join(
                'registrations AS r',
                fn (JoinClause $join): JoinClause => $join->on('r.name_id', 's.name_id')->whereRaw('upper_inf(r.span)'),
            )
            ->where('s.account_id', '>', 0)
            ->where('s.phase', 'in_term')
            ->where('s.intent', '<>', 'lapse')
            ->when($column !== null, fn (Builder $all): Builder => $all->where((string) $column, $scope->id));
    }
}
