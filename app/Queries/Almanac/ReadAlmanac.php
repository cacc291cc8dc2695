<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Balance\Charge;
use Acre\Core\Balance\ChargesToCome;
use Acre\Core\Balance\Entry;
use Acre\Core\Balance\Forecast;
use Acre\Core\Balance\Purse;
use Acre\Core\Balance\TopUp;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Term;
use Acre\Core\Money\Money;
use Acre\Core\Price\Rate;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Queries\Money\AccountPurse;
use App\Queries\Money\PriceBook;
use App\Queries\Money\Purses;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;

/** What is charged at each account over a year or two, and whether the money is there; worked out afresh from what is recorded. */
final readonly class ReadAlmanac
{
    public function __construct(
        private Connection $database,
        private PriceBook $prices,
        private Purses $purses,
        private Rulebook $rules,
    ) {
    }

    /**
     * @param  int|null  $most  charges; null: however many
     *
     * @throws TooManyCharges
     */
    public function handle(Asked $asked, ?int $most = null): AlmanacRead
    {
        $accounts = $this->accounts($asked->scope);
        // Where names would be moved to is looked at too.
        $purses = $this->purses->of(array_unique([...$accounts, ...$asked->moveTo === null ? [] : [$asked->moveTo]]));
        [$charges, $unpriced, $shown] = $this->charges($asked, $accounts, $purses, $most ?? PHP_INT_MAX);
        $topUps = $asked->withTopUps ? $this->topUps(array_keys($purses), $asked->now) : [];
        $runs = [];
        foreach ($purses as $id => $account) {
            foreach ($charges[$id] ?? [] as $currency => $due) {
                $runs[] = self::run($account, (string) $currency, $due, $topUps[$id][$currency] ?? [], $shown);
            }
        }

        return new AlmanacRead($asked, $runs, $unpriced);
    }

    /**
     * @param  list<Charge>  $charges
     * @param  list<TopUp>  $topUps
     * @param  array<string, true>|null  $shown  names; null: all
     */
    private static function run(AccountPurse $account, string $currency, array $charges, array $topUps, ?array $shown): AccountRun
    {
        $purse = $account->purse($currency);
        $forecast = Forecast::of($purse ?? Purse::invoice($currency), $charges, $topUps);

        return new AccountRun(
            $account,
            $currency,
            $charges,
            $forecast,
            $purse !== null,
            $shown === null
                ? $forecast->entries
                : array_values(array_filter(
                    $forecast->entries,
                    fn (Entry $one): bool => $one->charge !== null && isset($shown[$one->charge->name]),
                )),
            $shown === null ? $charges : array_values(array_filter($charges, fn (Charge $one): bool => isset($shown[$one->name]))),
        );
    }

    /** @return list<int> whose money is looked at: of a client, all accounts that names of theirs are in */
    private function accounts(Scope $scope): array
    {
        $ids = match ($scope->kind) {
            ScopeKind::Account => [$scope->id],
            ScopeKind::All => $this->database->table('accounts')->orderBy('id')->pluck('id')->all(),
            ScopeKind::Registrar => $this->database->table('accounts')
                ->where('registrar_id', $scope->id)
                ->orderBy('id')
                ->pluck('id')
                ->all(),
            ScopeKind::Client => $this->database->table('standings')
                ->where('client_id', $scope->id)
                ->where('account_id', '>', 0)
                ->distinct()
                ->pluck('account_id')
                ->all(),
        };

        return array_values(array_filter($ids, is_int(...)));
    }

    /**
     * @param  list<int>  $accounts  of the scope
     * @param  array<int, AccountPurse>  $purses  theirs, and that of the account where names would be moved to
     * @return array{array<int, array<string, list<Charge>>>, int, array<string, true>|null} charges by account and currency; how many have
     *     no price; and the names that are shown, where those are not all
     *
     * @throws TooManyCharges
     */
    private function charges(Asked $asked, array $accounts, array $purses, int $most): array
    {
        $from = $asked->now;
        $until = $asked->until();
        $prices = $this->prices->renewals(
            array_unique(array_map(fn (AccountPurse $purse): int => $purse->registrarId, $purses)),
            $from,
            $until,
        );
        $least = [];
        $found = [];
        $unpriced = $count = 0;
        $inScope = array_fill_keys($accounts, true);
        $shown = $asked->scope->kind === ScopeKind::Client || count($purses) > count($accounts) ? [] : null;
        $moveTo = $asked->moveTo === null ? null : $purses[$asked->moveTo] ?? null;
        $there = $moveTo === null ? [] : $this->prices->of([$moveTo->registrarId], $from)[$moveTo->registrarId] ?? [];
        foreach ($this->names(array_keys($purses), $asked->every, $from)->cursor() as $one) {
            $row = Row::of($one);
            $account = $purses[$row->int('account_id')];
            $suffix = $row->text('suffix');
            $own = $row->textOrNull('own_renewal');
            $isShown = $asked->scope->kind === ScopeKind::Client
                ? $row->int('client_id') === $asked->scope->id
                : isset($inScope[$account->id]);
            $moves = $moveTo !== null && $isShown && $account->registrarId !== $moveTo->registrarId && $asked->isMoved($row->text('ascii'))
                && ! $asked->whatIf->isLetGo($row->text('ascii'));
            $least[$suffix] ??= $this->rules->for($suffix, $from)->leastMonths->value;
            $ends = $row->instant('ends_on', 'ends_is_day');
            if ($ends === null) {
                continue;
            }
            if ($moves) {
                // The year that a transfer adds is paid with it, and none by auto-renewal before.
                $transfer = $there[$suffix]['transfer'] ?? null;
                $unpriced += $transfer === null ? 1 : 0;
                if ($transfer !== null) {
                    $found[$moveTo->id][$transfer->gross()->currency][] = new Charge(
                        $row->text('ascii'),
                        // The first day on which money can be there for it.
                        $from->toDay()->plusDays(1),
                        $ends,
                        $transfer->gross(),
                        'transfer',
                    );
                    $count++;
                }
                $ends = Term::extend(
                    $row->instant('created_on', 'created_is_day'),
                    $ends,
                    12 * $this->rules->for($suffix, $from)->moveAdds->value,
                );
                [$account, $own] = [$moveTo, null];
            }
            $come = ChargesToCome::of(
                $row->text('ascii'),
                $row->instant('created_on', 'created_is_day'),
                $ends,
                $account->lead,
                $least[$suffix],
                $own === null ? $prices[$account->registrarId][$suffix] ?? null : new Rate(
                    Money::of($own, $row->text('own_currency')),
                    '0',
                ),
                $from,
                $until,
                $asked->whatIf,
                ! $moves && $row->textOrNull('last_charge') === 'refused',
            );
            $unpriced += $isShown ? $come->unpriced : 0;
            $count += count($come->charges);
            if ($count > $most) {
                throw new TooManyCharges();
            }
            foreach ($come->charges as $charge) {
                $found[$account->id][$charge->amount->currency][] = $charge;
            }
            if ($shown !== null && $isShown) {
                $shown[$row->text('ascii')] = true;
            }
        }

        return [$found, $unpriced, $shown];
    }

    /** @param  list<int>  $accounts */
    private function names(array $accounts, bool $every, Instant $now): Builder
    {
        return $this->database
            ->table('standings AS s')
            ->join(
                'registrations AS r',
                fn (JoinClause $join): JoinClause => $join->on('r.name_id', 's.name_id')->whereRaw('upper_inf(r.span)'),
            )
            ->whereIn('s.account_id', $accounts)
            ->whereIn('s.phase', ['in_term', 'grace'])
            ->when(
                $every,
                fn (Builder $names): Builder => $names->where('s.intent', '<>', 'lapse'),
                fn (Builder $names): Builder => $names->where('s.intent', 'by_itself'),
            )
            ->whereNotNull('r.ends_on')
            ->select([
                's.ascii',
                's.suffix',
                's.account_id',
                's.client_id',
                'r.created_on',
                'r.created_is_day',
                'r.ends_on',
                'r.ends_is_day',
                'r.own_renewal',
                'r.own_currency',
            ])
            // Of those alone that are charged ahead of an end that is near.
            ->selectRaw(
                "CASE WHEN r.ends_on BETWEEN ?::timestamptz AND ?::timestamptz THEN (SELECT m.state FROM gate_messages m
                    WHERE m.name_id = s.name_id AND m.kind = 'charge' ORDER BY m.id DESC LIMIT 1) END AS last_charge",
                [$now->toDay()->isoSecond(), $now->plusDays(LateTerms::MOST_LEAD)->isoSecond()],
            );
    }

    /**
     * @param  list<int>  $accounts
     * @return array<int, array<string, list<TopUp>>> by account and currency
     */
    private function topUps(array $accounts, Instant $now): array
    {
        $found = [];
        foreach (
            Row::all($this->database->select(
                "SELECT account_id, planned_for, amount, currency FROM top_ups
                    WHERE account_id = ANY (?::bigint[]) AND state = 'planned' AND planned_for >= ?::date ORDER BY planned_for, id",
                ['{'.implode(',', $accounts).'}', $now->date()],
            )) as $row
        ) {
            $found[$row->int('account_id')][$row->text('currency')][] = new TopUp(
                Instant::of($row->text('planned_for')),
                Money::of($row->text('amount'), $row->text('currency')),
            );
        }

        return $found;
    }
}
