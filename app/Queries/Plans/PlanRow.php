<?php

declare(strict_types=1);

namespace App\Queries\Plans;

use Acre\Core\Time\Instant;
use App\Models\LineState;
use App\Support\Row;

/** A name of a migration: its day, and what became of it. */
final readonly class PlanRow
{
    /**
     * @param  string  $why  as `Acre\Core\Planner\Why` calls it; `stopped`: something else stands in the way; `failed`: it went, and
     *     failed; `by_hand`: somebody chose its day
     * @param  LineState|null  $state  null: it hasn't gone
     */
    private function __construct(
        public int $id,
        public string $ascii,
        public string $unicode,
        public ?Instant $day,
        public string $why,
        public bool $isLate,
        public ?int $docket,
        public ?LineState $state,
        public ?string $reason,
    ) {
    }

    public static function of(Row $row): self
    {
        $day = $row->textOrNull('day');

        return new self(
            $row->int('name_id'),
            $row->text('ascii'),
            $row->text('unicode'),
            $day === null ? null : Instant::of($day),
            $row->text('why'),
            $row->bool('is_late'),
            $row->intOrNull('docket_id'),
            LineState::tryFrom($row->textOrNull('state') ?? ''),
            $row->textOrNull('reason'),
        );
    }
}
