<?php

declare(strict_types=1);

namespace App\Queries\Clients;

use Acre\Core\Money\Money;
use Acre\Core\Price\Surcharge;
use Acre\Core\Time\Instant;
use App\Models\Client;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What was laid out for a client in a span: what was charged for names that were theirs on the day, with our surcharge. */
final readonly class ReadLaidOut
{
    /** Lines of the sheet; more are in the list. */
    public const MOST = 500;

    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  Instant  $until  that day included
     * @return list<LaidOut> by day
     */
    public function of(Client $client, Instant $from, Instant $until): array
    {
        $rule = self::rule($client);

        return array_map(
            function (Row $row) use ($rule): LaidOut {
                $sum = Money::of($row->text('amount'), $row->text('currency'))->times(-1);

                return new LaidOut(
                    $row->instant('charged_on') ?? Instant::second(0),
                    $row->text('unicode'),
                    $row->text('kind'),
                    $sum,
                    $rule->on($sum),
                );
            },
            Row::all($this->database->select(
                "SELECT l.charged_on, n.unicode, l.kind, l.amount, l.currency FROM ledger l JOIN names n ON n.id = l.name_id
                    JOIN holdings h ON h.name_id = l.name_id AND h.span @> l.charged_on AND h.client_id = ?
                    WHERE l.charged_on >= ?::timestamptz AND l.charged_on < ?::timestamptz AND l.kind <> 'top_up'
                    ORDER BY l.charged_on, n.ascii, l.id",
                [$client->id, $from->toDay()->isoSecond(), $until->toDay()->plusDays(1)->isoSecond()],
            )),
        );
    }

    public static function rule(Client $client): Surcharge
    {
        return new Surcharge(
            $client->surcharge_percent,
            $client->surcharge_each === null || $client->surcharge_currency === null
                ? null
                : Money::of($client->surcharge_each, $client->surcharge_currency),
        );
    }
}
