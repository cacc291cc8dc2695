<?php

declare(strict_types=1);

namespace App\Queries\Dockets;

use App\Support\Row;
use Illuminate\Database\Connection;

/** What was accepted for the registrants of a docket's names. */
final readonly class AgreementsAccepted
{
    public function __construct(private Connection $database)
    {
    }

    /** @return list<Row> name, address, authority, who, accepted_on; the last as an instant */
    public function of(int $docketId): array
    {
        return Row::all($this->database->select(
            'SELECT a.name, a.address, a.authority, a.accepted_on, u.name AS who FROM agreements_accepted a
             JOIN users u ON u.id = a.accepted_by WHERE a.docket_id = ? ORDER BY a.position',
            [$docketId],
        ));
    }
}
