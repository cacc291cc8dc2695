<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Record\RecordFinding;
use Acre\Core\Time\Instant;
use App\Models\DocketLine;
use App\Models\DriftState;
use App\Queries\Names\HeldCase;
use Illuminate\Database\Connection;

/** A name that is no longer ours is closed in our books, its past kept; from then on it is watched, or not monitored. */
final readonly class LeaveBooks
{
    public function __construct(private Connection $database, private PassHolding $pass)
    {
    }

    /**
     * In the line's transaction, the name locked.
     *
     * @param  string|null  $watchedFor  why it is watched; null: it is not
     * @param  string|null  $registrar  where it went; null: as its record says
     */
    public function handle(DocketLine $line, HeldCase $file, Instant $now, ?string $watchedFor, ?string $registrar = null): void
    {
        $this->pass->end($file, $now);
        $this->database
            ->table('drifts')
            ->where('name_id', $file->nameId)
            ->where('state', DriftState::Open)
            ->update(['state' => DriftState::Taken, 'settled_at' => $now->isoSecond(), 'docket_id' => $line->docket_id]);
        if ($watchedFor !== null) {
            $this->database->table('watchings')->insert([
                'name_id' => $file->nameId,
                'client_id' => $file->clientId,
                'why' => $watchedFor,
                'since' => $now->isoSecond(),
                'by_id' => $line->docket->settled_by,
                'registrar' => $registrar ?? self::goneTo($file),
                'registrant' => $file->registrant,
                'created_on' => $file->facts->created?->isoSecond(),
                'ends_on' => $file->facts->ends?->isoSecond(),
            ]);
        }
        // Its directory is asked about it soon, or not at all any more.
        $this->database
            ->table('observing')
            ->where('name_id', $file->nameId)
            ->update(['due_at' => $watchedFor !== null ? $now->isoSecond() : 'infinity']);
    }

    private static function goneTo(HeldCase $file): string
    {
        foreach ($file->drifts as $drift) {
            if ($drift->tag === RecordFinding::OtherRegistrar) {
                return is_string($drift->seen()) ? $drift->seen() : '';
            }
        }

        return $file->account->registrarName;
    }
}
