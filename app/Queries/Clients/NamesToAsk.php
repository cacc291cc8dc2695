<?php

declare(strict_types=1);

namespace App\Queries\Clients;

use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Names of a client that end in a span, and of which nobody has decided whether they are kept. */
final readonly class NamesToAsk
{
    /** Of one letter. */
    public const MOST = 500;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<Row> soonest first: name_id, ascii, unicode, ends_on, intent, sum, currency */
    public function of(int $clientId, Instant $until): array
    {
        return Row::all($this->database->select(
            "SELECT name_id, ascii, unicode, ends_on, intent, registrar_name FROM standings
                WHERE client_id = ? AND account_id > 0 AND phase = 'in_term' AND intent IN ('ask_client', 'when_told') AND ends_on < ?
                ORDER BY ends_on, name_id LIMIT ?",
            [$clientId, $until->isoSecond(), self::MOST],
        ));
    }
}
