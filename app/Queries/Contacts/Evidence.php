<?php

declare(strict_types=1);

namespace App\Queries\Contacts;

use App\Support\Row;
use Illuminate\Database\Connection;

/** What became of letters to a mailbox: whether anybody reads it. */
final readonly class Evidence
{
    public function __construct(private Connection $database)
    {
    }

    /** @return list<Row> the last letters: kind, state, subject, written_on, sent_at, answer, answered_at */
    public function of(string $address, int $limit = 5): array
    {
        return Row::all(
            $this->database->select(
                'SELECT l.id, l.kind, l.state, l.subject, l.written_on, l.sent_at, l.answer,
                    (SELECT max(k.used_at) FROM links k WHERE (k.docket_id = l.docket_id OR k.mailbox_id = l.mailbox_id)
                    AND lower(k.mailbox) = lower(l.mailbox)) AS answered_at
             FROM letters l WHERE lower(l.mailbox) = lower(?) ORDER BY l.id DESC LIMIT ?',
                [$address, $limit],
            ),
        );
    }
}
