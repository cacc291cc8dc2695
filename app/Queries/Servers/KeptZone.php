<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Time\Instant;
use App\Support\Row;
use UnexpectedValueException;

/** A kept copy of a zone, without its records. */
final readonly class KeptZone
{
    private function __construct(
        public int $id,
        public string $source,
        public string $toldBy,
        public Instant $at,
        public ?int $docket,
        public int $records,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('source'),
            $row->text('told_by'),
            $row->instant('taken_at') ?? throw new UnexpectedValueException('A copy has its instant.'),
            $row->intOrNull('docket_id'),
            $row->int('records'),
        );
    }
}
