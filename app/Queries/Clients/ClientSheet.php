<?php

declare(strict_types=1);

namespace App\Queries\Clients;

use Acre\Core\Money\Money;
use Acre\Core\Standing\NextKind;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What is kept for a client: each name with what happens at its end, and what a year of them costs. */
final readonly class ClientSheet
{
    /** More lines than anybody prints. */
    public const MOST = 3_000;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<Row> soonest end first; what is only watched for them is not kept */
    public function names(int $clientId): array
    {
        return Row::all(
            $this->database
                ->table('standings')
                ->where('client_id', $clientId)
                ->where('next_kind', '<>', NextKind::Watched->value)
                ->orderBy('ends_on')
                ->orderBy('name_id')
                ->limit(self::MOST)
                ->select([
                    'name_id',
                    'unicode',
                    'ascii',
                    'created_on',
                    'ends_on',
                    'intent',
                    'phase',
                    'registrar_name',
                    'later',
                    'next_kind',
                    'next_at',
                    'sum',
                    'currency',
                ])
                ->selectRaw("facts->'renew'->>0 AS year, facts->'renew'->>1 AS year_currency")
                ->get(),
        );
    }

    /** @return list<array{int, Money}> how many names cost that a year together, by currency */
    public function sums(int $clientId): array
    {
        return array_map(
            fn (Row $row): array => [$row->int('names'), Money::of($row->text('year'), $row->text('year_currency'))],
            Row::all(
                $this->database->select(
                    "SELECT facts->'renew'->>1 AS year_currency, sum((facts->'renew'->>0)::numeric)::text AS year, count(*) AS names
                        FROM standings WHERE client_id = ? AND jsonb_exists(facts, 'renew') GROUP BY 1 ORDER BY 1",
                    [$clientId],
                ),
            ),
        );
    }
}
