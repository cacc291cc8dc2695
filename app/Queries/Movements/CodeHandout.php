<?php

declare(strict_types=1);

namespace App\Queries\Movements;

use Acre\Core\Time\Instant;
use App\Support\Row;

/** Auth codes that were sent to somebody, as a link, and whether they have read them. */
final readonly class CodeHandout
{
    private function __construct(public string $mailbox, public ?Instant $written, public ?Instant $shown)
    {
    }

    public static function of(Row $row): self
    {
        return new self($row->text('mailbox'), $row->instant('written_on'), $row->instant('shown_on'));
    }
}
