<?php

declare(strict_types=1);

namespace App\Queries\Money;

use Acre\Core\Money\Money;
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

        return $found;
    }

    /**
     * What they ask over a span, as far as that is known today.
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
