<?php

declare(strict_types=1);

namespace App\Queries\Money;

use Acre\Core\Price\Exchange;
use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;

/** The newest rate that was written down between each two currencies. */
final readonly class ExchangeRates
{
    public function __construct(private Connection $database)
    {
    }

    /** @return list<array{string, string, string, Instant}> from, to, how many of those one is worth, and on which day */
    public function all(): array
    {
        return array_map(
            fn (Row $row): array => [
                $row->text('currency'),
                $row->text('to_currency'),
                $row->text('rate'),
                Instant::of($row->text('on_day')),
            ],
            Row::all($this->database->select(
                'SELECT currency, to_currency, rate, on_day FROM (SELECT DISTINCT ON (currency, to_currency) currency, to_currency,
                    trim_scale(rate)::text AS rate, on_day, id FROM exchange_rates
                    ORDER BY currency, to_currency, on_day DESC, id DESC) newest ORDER BY on_day DESC, id DESC',
            )),
        );
    }

    public function exchange(): Exchange
    {
        return new Exchange($this->all());
    }
}
