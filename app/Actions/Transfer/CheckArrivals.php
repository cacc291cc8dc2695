<?php

declare(strict_types=1);

namespace App\Actions\Transfer;

use Acre\Core\Contact\VerificationState;
use Acre\Core\Movement\LegKind;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Actions\Movements\TakeLegs;
use App\Queries\Movements\ZoneThrough;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Queries\Names\OpenDrift;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * What is to be seen of names that have come from another registrar: their registrant verified, and the public record and the zone as they
 * were to be. Each step is taken once it is seen.
 */
final readonly class CheckArrivals
{
    private const TOGETHER = 200;

    /** Where the record says otherwise than a transfer leaves it. */
    private const AGAINST = [
        RecordFinding::OtherRegistrar,
        RecordFinding::NotInDirectory,
        RecordFinding::EndsSooner,
        RecordFinding::EndsLater,
        RecordFinding::ServersChanged,
    ];

    public function __construct(
        private Connection $database,
        private CaseFiles $files,
        private ZoneThrough $zones,
        private TakeLegs $legs,
        private Rulebook $book,
        private TradeClock $clock,
    ) {
    }

    public function handle(): void
    {
        $after = 0;
        while (($rows = $this->some($after)) !== []) {
            $now = $this->clock->now();
            $files = $this->files->held(array_values(array_map(fn (Row $row): int => $row->int('name_id'), $rows)), $now);
            foreach ($rows as $row) {
                $after = $row->int('id');
                $file = $files[$row->int('name_id')] ?? null;
                if ($file !== null) {
                    $this->check($row, $file, $now);
                }
            }
        }
    }

    /** @return list<Row> movements that have arrived, with what of them is still to be seen */
    private function some(int $after): array
    {
        return Row::all($this->database->select(
            "SELECT m.id, m.name_id, m.docket_id, m.closed_on, l.seen_on,
                bool_or(g.kind = 'verify') AS verifies, bool_or(g.kind = 'compare') AS compares
             FROM legs g JOIN movements m ON m.id = g.movement_id
             JOIN docket_lines l ON l.docket_id = m.docket_id AND l.name_id = m.name_id AND l.state = 'done'
             WHERE g.kind IN ('verify', 'compare') AND g.done_on IS NULL AND m.closed_on IS NOT NULL AND m.id > ?
             GROUP BY m.id, l.seen_on ORDER BY m.id LIMIT ?",
            [$after, self::TOGETHER],
        ));
    }

    private function check(Row $row, HeldCase $file, Instant $now): void
    {
        $taken = [];
        $verification = $file->verification($file->life($this->book, $now));
        if ($row->bool('verifies') && $verification?->state === VerificationState::Verified) {
            $taken[] = LegKind::Verify;
        }
        if ($row->bool('compares') && $row->textOrNull('seen_on') !== null && $this->isAsItWas($row, $file)) {
            $taken[] = LegKind::Compare;
        }
        if ($taken !== []) {
            $this->legs->take([$file->nameId], $taken, $now);
        }
    }

    private function isAsItWas(Row $row, HeldCase $file): bool
    {
        $against = array_filter($file->drifts, fn (OpenDrift $drift): bool => in_array($drift->tag, self::AGAINST, true));
        $arrived = $row->instant('closed_on');
        if ($against !== [] || $arrived === null) {
            return false;
        }
        $comparison = $this->zones->compared($file->nameId, $row->int('docket_id'), $arrived);

        // Of a zone that nobody could read before there is nothing to compare.
        return $comparison === null ? ! $this->zones->wasKept($file->nameId, $row->int('docket_id')) : $comparison->losses() === [];
    }
}
