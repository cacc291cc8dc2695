<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Finding\Cost;
use Acre\Core\Time\Instant;
use Acre\Core\Zone\MailFinding;
use App\Support\Row;

/** One thing that is wrong with what names say about mail, and with how many. */
final readonly class MailFaultCounted
{
    /** @param  array<string, string>  $few  some of the names, as they are written, by how the DNS has them */
    private function __construct(
        public MailFinding $finding,
        public int $names,
        public Cost $cost,
        public ?Instant $since,
        public array $few,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            MailFinding::from($row->text('finding')),
            $row->int('names'),
            Cost::from($row->int('cost')),
            $row->instant('since'),
            FaultCounted::few($row),
        );
    }
}
