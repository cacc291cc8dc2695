<?php

declare(strict_types=1);

namespace App\Queries\Money;

use Acre\Core\Money\Money;
use Acre\Core\Price\Offer;
use Acre\Core\Price\Rate;
use Acre\Core\Price\Rates;
use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What registrars ask on a day, as their price lists have it. */
final readonly class PriceBook
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * With what they offer on that day, also to whoever has a code: what is bought says which.
     *
     * @param  array<array-key, int>  $registrars
     * @return array<int, array<string, array<string, Rate>>> by registrar, suffix and action
     */
    public function of(array $registrars, Instant $on): array
    {
        $found = [];
        foreach (
            Row::all($this->database->select(
                'SELECT registrar_id, suffix, action, amount, currency, tax_percent FROM prices
                    WHERE registrar_id = ANY (?::bigint[]) AND span @> ?::timestamptz',
                ['{'.implode(',', $registrars).'}', $on->isoSecond()],
            )) as $row
        ) {
            $found[$row->int('registrar_id')][$row->text('suffix')][$row->text('action')] = new Rate(
                Money::of($row->text('amount'), $row->text('currency')),
                $row->text('tax_percent'),
            );
        }

        foreach ($this->offers($registrars, $on) as $registrar => $offers) {
            foreach ($found[$registrar] ?? [] as $suffix => $rates) {
                foreach ($rates as $action => $rate) {
                    $found[$registrar][$suffix][$action] = $rate->with([
                        ...$offers[$suffix][$action] ?? [],
                        // Those that hold for every suffix.
                        ...$offers[''][$action] ?? [],
                    ]);
                }
            }
        }

        return $found;
    }

    /**
     * @param  array<array-key, int>  $registrars
     * @return array<int, array<string, array<string, list<Offer>>>> by registrar, suffix and action
     */
    private function offers(array $registrars, Instant $on): array
    {
        $found = [];
        foreach (
            Row::all($this->database->select(
                "SELECT registrar_id, coalesce(suffix, '') AS suffix, action, percent, amount, currency, first_only, code,
                    upper(span) AS until FROM offers
                    WHERE registrar_id = ANY (?::bigint[]) AND span @> ?::timestamptz AND withdrawn_at IS NULL ORDER BY id",
                ['{'.implode(',', $registrars).'}', $on->isoSecond()],
            )) as $row
        ) {
            $rest = [$row->bool('first_only'), $row->textOrNull('code'), $row->instant('until')];
            $found[$row->int('registrar_id')][$row->text('suffix')][$row->text('action')][] = $row->textOrNull('percent') === null
                ? Offer::price(Money::of($row->text('amount'), $row->text('currency')), ...$rest)
                : Offer::percent($row->text('percent'), ...$rest);
        }

        return $found;
    }

    /**
     * What they ask over a span, as far as that is known today; no auto-renewal is charged by an offer.
     *
     * @param  array<array-key, int>  $registrars
     * @return array<int, array<string, Rates>> of renewals, by registrar and suffix
     */
    public function renewals(array $registrars, Instant $from, Instant $until): array
    {
        $spans = [];
        foreach (
            Row::all($this->database->select(
                "SELECT registrar_id, suffix, amount, currency, tax_percent, lower(span) AS since, upper(span) AS until FROM prices
                    WHERE registrar_id = ANY (?::bigint[]) AND action = 'renew' AND span && tstzrange(?, ?) ORDER BY lower(span)",
                ['{'.implode(',', $registrars).'}', $from->toDay()->isoSecond(), $until->isoSecond()],
            )) as $row
        ) {
            $spans[$row->int('registrar_id')][$row->text('suffix')][] = [
                $row->instant('since') ?? Instant::second(0),
                $row->instant('until'),
                new Rate(Money::of($row->text('amount'), $row->text('currency')), $row->text('tax_percent')),
            ];
        }

        return array_map(
            fn (array $suffixes): array => array_map(fn (array $all): Rates => new Rates($all), $suffixes),
            $spans,
        );
    }
}
