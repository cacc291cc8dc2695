<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use Acre\Core\Money\Money;
use Acre\Core\Money\Sums;
use Acre\Core\Time\Instant;
use App\Models\Account;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** The same names to each registrar at which an account is ours: how many can go, until when, for how much, and what a year costs then. */
final readonly class CompareRegistrars
{
    /** Beyond this many the page would be slow; then the account is chosen first. */
    public const MOST_NAMES = 300;

    private const MOST_REGISTRARS = 8;

    public function __construct(private Connection $database, private MakePlan $make, private TradeClock $clock)
    {
    }

    /**
     * @param  list<int>  $nameIds
     * @param  array<array-key, mixed>  $said  limits that were typed already
     * @return list<ComparedRegistrar> the best first; those to which nothing can go are left out
     */
    public function handle(array $nameIds, array $said): array
    {
        if (count($nameIds) > self::MOST_NAMES) {
            return [];
        }
        $accounts = Account::query()
            ->with('registrar')
            ->where('access', 'ours')
            ->orderBy('id')
            ->get()
            ->unique('registrar_id')
            ->take(self::MOST_REGISTRARS);
        $compared = [];
        foreach ($accounts as $account) {
            $terms = PlanTerms::chosen(['account' => (string) $account->id] + $said, $this->clock->today());
            $made = $terms === null ? null : $this->make->of($nameIds, $terms);
            if ($made !== null && $made->placed() > 0) {
                $compared[] = $this->one($account, $made);
            }
        }
        usort($compared, ComparedRegistrar::compare(...));

        return $compared;
    }

    private function one(Account $account, MadePlan $made): ComparedRegistrar
    {
        $prices = $this->renewals($account->registrar_id, $this->clock->now());
        $placed = array_filter($made->names, fn (PlannedName $one): bool => $one->placed->day !== null);
        $later = array_map(fn (PlannedName $one): ?Money => $prices[$one->file->facts->name->suffix()] ?? null, $placed);

        return new ComparedRegistrar(
            $account,
            count($placed),
            $made->plan->ends(),
            $made->sums(),
            Sums::of($later),
            count(array_filter($later, is_null(...))),
        );
    }

    /** @return array<string, Money> with tax, by suffix */
    private function renewals(int $registrarId, Instant $now): array
    {
        $prices = [];
        foreach (
            Row::all($this->database->select(
                "SELECT suffix, amount, currency, tax_percent FROM prices
                 WHERE registrar_id = ? AND action = 'renew' AND span @> ?::timestamptz",
                [$registrarId, $now->isoSecond()],
            )) as $row
        ) {
            $net = Money::of($row->text('amount'), $row->text('currency'));
            $prices[$row->text('suffix')] = $net->withTax($row->text('tax_percent'));
        }

        return $prices;
    }
}
