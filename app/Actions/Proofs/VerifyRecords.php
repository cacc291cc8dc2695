<?php

declare(strict_types=1);

namespace App\Actions\Proofs;

use App\Models\ProofKind;
use App\Support\Row;
use Generator;
use Illuminate\Database\Connection;

/** What the chain of proofs can't tell of itself: what ended without one, what the log lacks, and what a head counts that is gone. */
final readonly class VerifyRecords
{
    public function __construct(private Connection $database, private LogDays $days, private StoreHead $head)
    {
    }

    /**
     * @param  string|null  $head  the head that was kept, or a receipt; null: there is none
     * @return Generator<int, string>
     */
    public function handle(?string $head): Generator
    {
        yield from $this->unproven();
        yield from $this->days->faults();
        yield from $this->head->faults($head);
    }

    /** @return Generator<int, string> */
    private function unproven(): Generator
    {
        $ended = [
            [ProofKind::Docket, $this->database->table('dockets as e')->where('e.state', 'closed'), 'e.id'],
            [ProofKind::Handing, $this->database->table('handings as e')->whereNotNull('e.closed_on'), 'e.id'],
            [ProofKind::Erasure, $this->database->table('erasures as e'), 'e.contact_id'],
        ];
        foreach ($ended as [$kind, $those, $key]) {
            $without = $those
                ->leftJoin('proofs as p', "p.{$kind->column()}", '=', $key)
                ->whereNull('p.position')
                ->orderBy($key)
                ->selectRaw("{$key} AS id");
            foreach ($without->lazyById(500, $key, 'id') as $row) {
                yield "{$kind->value} ".Row::of($row)->int('id').' is closed, and there is no proof of it';
            }
        }
    }
}
