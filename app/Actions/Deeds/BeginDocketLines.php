<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Time\Instant;
use App\Actions\Drifts\CompareAgain;
use App\Actions\Gates\GateOrders;
use App\Actions\Setbacks\SetAside;
use App\Actions\Standings\MakeStandings;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\Name;
use App\Models\SetbackKind;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Queries\Names\RollCase;
use App\Support\Failpoint;
use App\Support\HouseLog;
use App\Support\Outage;
use App\Support\TradeClock;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Collection;
use PDOException;
use Throwable;

/**
 * Begins what waits, some lines a transaction, each judged again with its name locked; killed anywhere, it goes on where
 * it was. Line by line it would ask the database twenty times a name.
 */
final readonly class BeginDocketLines
{
    private const TOGETHER = 50;

    /** Of a transaction that another one was in the way of. */
    private const TRIES = 3;

    public function __construct(
        private Connection $database,
        private Deeds $deeds,
        private CaseFiles $files,
        private CompareAgain $compare,
        private MakeStandings $standings,
        private CloseDocket $close,
        private TradeClock $clock,
        private HouseLog $log,
        private GateOrders $gateOrders,
        private SetAside $aside,
    ) {
    }

    /** A docket that can't go on is set aside, and stops no other. */
    public function handle(int $docketId): void
    {
        // One worker a docket; another one that comes finds it taken, and leaves.
        if (! $this->hold($docketId)) {
            return;
        }
        try {
            $this->aside->attempt(SetbackKind::Docket, $docketId, fn () => $this->work($docketId), docketId: $docketId);
        } finally {
            $this->database->select('SELECT pg_advisory_unlock(1, ?)', [$docketId]);
        }
    }

    private function work(int $docketId): void
    {
        $ids = DocketLine::query()
            ->where('docket_id', $docketId)
            ->where('state', LineState::Waiting)
            ->orderBy('name_id')
            ->toBase()
            ->pluck('id')
            ->all();
        $ids = array_values(array_filter($ids, is_int(...)));
        $ids = array_values(array_diff($ids, $this->aside->rests(SetbackKind::DocketLine, $ids)));
        foreach (array_chunk($ids, self::TOGETHER) as $chunk) {
            try {
                $this->database->transaction(fn () => $this->begin($docketId, $chunk), self::TRIES);
                $this->aside->clear(SetbackKind::DocketLine, $chunk);
            } catch (Throwable $e) {
                $this->oneByOne($docketId, $chunk, $e);
            }
            Failpoint::LinesBegun->reach();
        }
        $this->close->ifAllEnded($docketId);
    }

    /**
     * One name that fails keeps no other from beginning.
     *
     * @param  list<int>  $lineIds
     */
    private function oneByOne(int $docketId, array $lineIds, Throwable $e): void
    {
        if ($e instanceof PDOException && Outage::is($e)) {
            throw $e;
        }
        foreach ($lineIds as $id) {
            $this->aside->attempt(
                SetbackKind::DocketLine,
                $id,
                fn () => $this->database->transaction(fn () => $this->begin($docketId, [$id]), self::TRIES),
                docketId: $docketId,
                nameId: DocketLine::query()->find($id)?->name_id,
            );
        }
    }

    /** Settled dockets whose job was lost, with waiting lines or with none open and no proof yet. */
    public function sweep(): void
    {
        $ids = Docket::query()
            ->where('state', DocketState::Settled)
            ->where(
                fn ($lost) => $lost
                    ->whereHas('lines', fn ($lines) => $lines->where('state', LineState::Waiting))
                    ->orWhereDoesntHave('lines', fn ($lines) => $lines->whereIn('state', LineState::OPEN)),
            )
            ->orderBy('id')
            ->toBase()
            ->pluck('id');
        foreach ($ids as $id) {
            $this->handle(is_int($id) ? $id : 0);
        }
    }

    private function hold(int $docketId): bool
    {
        /** @var object{held: bool}|null $row */
        $row = $this->database->selectOne('SELECT pg_try_advisory_lock(1, ?) AS held', [$docketId]);

        return $row !== null && $row->held;
    }

    /** @param  list<int>  $lineIds */
    private function begin(int $docketId, array $lineIds): void
    {
        Docket::query()->lockForUpdate()->find($docketId);
        $lines = DocketLine::query()
            ->with('docket')
            ->whereIn('id', $lineIds)
            ->where('state', LineState::Waiting)
            ->orderBy('name_id')
            ->lockForUpdate()
            ->get();
        $names = array_map(fn (DocketLine $line): int => $line->name_id, array_values($lines->all()));
        Name::query()->whereIn('id', $names)->orderBy('id')->lockForUpdate()->get();
        Failpoint::LinesLocked->reach();
        $now = $this->clock->now();
        $files = $this->files->of($names, $now);
        foreach ($lines->take(1) as $line) {
            Deeds::beforeJudging($this->deeds->of($line->docket), $files, $line->docket->terms);
        }
        $entries = [];
        $openings = new PendingWrites($this->database, $this->gateOrders);
        foreach ($lines as $line) {
            $event = $this->beginOne($line, $files[$line->name_id] ?? null, $now, $openings);
            $entries[] = [
                'event' => $event,
                'subject' => 'name',
                'subject_id' => $line->name_id,
                'data' => ['docket' => $line->docket_id, 'deed' => $line->docket->deed],
            ];
            Failpoint::LineBegun->reach();
        }
        $openings->write();
        $this->write($lines);
        $this->compare->handle($names);
        $this->standings->of($names);
        Failpoint::LinesStandingsMade->reach();
        $this->log->writeMany($entries, $lines->first()?->docket->settled_by);
        Failpoint::LinesLogged->reach();
    }

    /** @return string what the log calls it */
    private function beginOne(DocketLine $line, ?RollCase $file, Instant $now, PendingWrites $openings): string
    {
        $deed = $this->deeds->of($line->docket);
        $readiness = $file === null ? null : Deeds::judge($deed, $file, $line->docket->terms, $now);
        $account = $file instanceof HeldCase ? $file->account->id : null;
        if ($file === null || $readiness === null || ! $readiness->isClear() || $account !== $line->giving_account_id) {
            $line->fill([
                'state' => LineState::Stopped,
                'findings' => $readiness === null ? [] : json_decode((string) json_encode($readiness->findings), true),
            ]);

            return 'stopped';
        }
        try {
            $state = Deeds::perform($deed, $line, $file, $readiness, $line->docket->terms, $now, $openings);
        } catch (DeedError $e) {
            $line->fill(['state' => LineState::Stopped, 'reason' => $e->getMessage()]);

            return 'stopped';
        }
        $line->fill(
            ['state' => $state] + ($state === LineState::Done ? ['done_on' => $now->toDay(), 'done_by' => $line->docket->settled_by] : []),
        );

        // What waits for nobody is told by the deed's own name.
        return $state === LineState::Done ? $deed::key() : $state->value;
    }

    /**
     * What became of the lines, in one statement.
     *
     * @param  Collection<int, DocketLine>  $lines
     */
    private function write(Collection $lines): void
    {
        $json = fn (mixed $text): mixed => is_string($text) ? json_decode($text, true) : null;
        $changed = $lines->map(
            fn (DocketLine $line): array => [
                'findings' => $json($line->getAttributes()['findings'] ?? null),
                'was' => $json($line->getAttributes()['was'] ?? null),
            ] + $line->getAttributes(),
        );
        $this->database->update(
            <<<'SQL'
            UPDATE docket_lines l SET state = n.state, findings = n.findings, reason = n.reason, done_on = n.done_on,
            done_is_day = n.done_is_day, done_by = n.done_by, was = n.was, updated_at = clock_timestamp()
            FROM jsonb_to_recordset(?::jsonb) AS n(id bigint, state text, findings jsonb, reason text, done_on timestamptz,
            done_is_day boolean, done_by bigint, was jsonb) WHERE l.id = n.id
            SQL
            ,
            [json_encode($changed->values()->all(), JSON_THROW_ON_ERROR)],
        );
    }
}
