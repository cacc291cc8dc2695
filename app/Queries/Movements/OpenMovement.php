<?php

declare(strict_types=1);

namespace App\Queries\Movements;

use Acre\Core\Finding\Actor;
use Acre\Core\Movement\LegKind;
use Acre\Core\Time\Instant;
use App\Support\Row;

/** A name on its way, and what it waits for. */
final readonly class OpenMovement
{
    /**
     * @param  string  $from  registrar and number of the account; '': none
     * @param  string  $to  likewise, or whatever it is to become
     * @param  Instant|null  $likely  when what it waits for usually is over
     * @param  Instant|null  $latest  when it is over at the latest
     */
    private function __construct(
        public int $id,
        public string $ascii,
        public string $unicode,
        public int $docket,
        public string $from,
        public string $to,
        public ?LegKind $leg,
        public ?Actor $whom,
        public ?Instant $likely,
        public ?Instant $latest,
    ) {
    }

    public static function of(Row $row): self
    {
        $said = fn (string $side): string => is_string($row->json($side)['account'] ?? null) ? $row->json($side)['account'] : '';
        $due = $row->instant('due_by');

        return new self(
            $row->int('id'),
            $row->text('ascii'),
            $row->text('unicode'),
            $row->int('docket_id'),
            $said('before'),
            $said('after'),
            LegKind::tryFrom($row->textOrNull('leg') ?? ''),
            Actor::tryFrom($row->textOrNull('actor') ?? ''),
            $row->instant('likely_by') ?? $due,
            $due,
        );
    }

    public function isLate(Instant $now): bool
    {
        return $this->latest?->isBefore($now) === true;
    }
}
