<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Contact\Field;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Name\DomainName;
use Acre\Core\Record\Drift as CoreDrift;
use Acre\Core\Record\Held;
use Acre\Core\Record\Pace;
use Acre\Core\Record\Record;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Record\Seen;
use Acre\Core\Record\Source;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Actions\Drifts\WriteDrifts;
use App\Actions\Handover\LockAgain;
use App\Actions\Servers\KeepPointing;
use App\Actions\Setbacks\SetAside;
use App\Actions\Standings\MakeStandings;
use App\Models\SetbackKind;
use App\Outside\Directory\Directory;
use App\Outside\Directory\DirectoryAnswer;
use App\Outside\Dns\Dns;
use App\Outside\Reach\FailureReason;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Queries\Names\RollCase;
use App\Queries\Names\WatchedCase;
use App\Queries\Outside\HeldFacts;
use App\Queries\Outside\LastSeen;
use App\Support\Outage;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Database\Connection;
use PDOException;
use RuntimeException;
use Throwable;

/** Asks the outside about names, keeps what it said, and records where it disagrees with the Roll. Run twice, it writes the same. */
final readonly class Observe
{
    /** Names that are asked for before anything is written. */
    private const BATCH = 50;

    /** Seconds after which a name is asked for again where nobody answered; doubled with every failure. */
    private const AGAIN = 900;

    /** Seconds after which what was answered so far is recorded. */
    private const WRITTEN = 10;

    /** Of a transaction that another one was in the way of. */
    private const TRIES = 3;

    public function __construct(
        private Connection $database,
        private Directory $directory,
        private Dns $dns,
        private CaseFiles $files,
        private HeldFacts $held,
        private WriteDrifts $drifts,
        private ConfirmLines $confirm,
        private LockAgain $lock,
        private KeepObservation $keep,
        private KeepPointing $pointing,
        private LastSeen $lastSeen,
        private SetAside $aside,
        private ExceptionHandler $handler,
        private MakeStandings $standings,
        private SendAlarms $alarms,
        private Rulebook $book,
        private TradeClock $clock,
    ) {
    }

    /**
     * In depth, however long it takes.
     *
     * @param  list<int>  $nameIds
     * @return bool whether any of them had its turn; false: their hosts want to be left alone for now
     */
    public function of(array $nameIds): bool
    {
        $hadTurn = false;
        foreach (array_chunk($nameIds, self::BATCH) as $ids) {
            $names = $this->names($ids);
            $told = array_map($this->directory->ask(...), $names);
            $this->look($names, $told, array_fill_keys(array_keys($names), true));
            $hadTurn = $hadTurn || array_filter($told, fn (array $all): bool => ! self::isTooOften($all)) !== [];
        }

        return $hadTurn;
    }

    /**
     * Each as its pace asks for. What was answered is recorded every few seconds, so that slow hosts cost time and nothing else.
     *
     * @param  list<int>  $nameIds  leased by the caller
     * @param  int  $seconds  after which no further name is begun
     */
    public function within(array $nameIds, int $seconds): Looked
    {
        $hadTurn = false;
        $until = hrtime(true) / 1e9 + $seconds;
        $left = $this->names($nameIds);
        $isDeep = $this->deep($nameIds);
        while ($left !== [] && hrtime(true) / 1e9 < $until) {
            $names = $told = [];
            $written = hrtime(true) / 1e9 + self::WRITTEN;
            foreach ($left as $id => $name) {
                $told[$id] = $this->directory->ask($name, $isDeep[$id] ?? true);
                $names[$id] = $name;
                if (count($names) === self::BATCH || hrtime(true) / 1e9 > min($written, $until)) {
                    break;
                }
            }
            $left = array_diff_key($left, $names);
            $this->look($names, $told, $isDeep);
            $hadTurn = $hadTurn || array_filter($told, fn (array $all): bool => ! self::isTooOften($all)) !== [];
        }

        return new Looked(array_keys($left), $hadTurn);
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, DomainName>
     */
    private function names(array $ids): array
    {
        $names = [];
        foreach (
            Row::all(
                $this->database
                    ->table('names')
                    ->whereIn('id', $ids)
                    ->orderBy('id')
                    ->get(['id', 'ascii']),
            ) as $row
        ) {
            $names[$row->int('id')] = DomainName::of($row->text('ascii'));
        }

        return $names;
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, bool> whether everybody is asked, by name
     */
    private function deep(array $ids): array
    {
        $now = $this->clock->now();
        $deep = [];
        foreach (
            Row::all(
                $this->database
                    ->table('observing')
                    ->whereIn('name_id', $ids)
                    ->get(['name_id', 'pace', 'deep_at']),
            ) as $row
        ) {
            $deep[$row->int('name_id')] = Pace::from($row->text('pace'))->isDeep($row->instant('deep_at'), $now);
        }

        return $deep;
    }

    /**
     * Their name servers, and what all of it comes to: together, or, where that fails, each by itself.
     *
     * @param  array<int, DomainName>  $names
     * @param  array<int, list<DirectoryAnswer>>  $told
     * @param  array<int, bool>  $isDeep
     */
    private function look(array $names, array $told, array $isDeep): void
    {
        $seen = [];
        try {
            // Who did not have a turn is not asked about at all.
            $this->dns->delegations(array_diff_key($names, array_filter($told, self::isTooOften(...))), function (DelegationSeen $one) use (
                &$seen,
            ): void {
                $seen[$one->name] = $one;
            });
        } catch (RuntimeException $e) {
            $this->handler->report($e);
        }
        try {
            $this->database->transaction(fn () => $this->write($names, $told, $seen, $isDeep), self::TRIES);
            $this->aside->clear(SetbackKind::Look, array_keys($names));
        } catch (Throwable $e) {
            if ($e instanceof PDOException && Outage::is($e)) {
                throw $e;
            }
            foreach ($names as $id => $name) {
                if (
                    ! $this->aside->attempt(
                        SetbackKind::Look,
                        $id,
                        fn () => $this->database->transaction(fn () => $this->write([$id => $name], $told, $seen, $isDeep), self::TRIES),
                        nameId: $id,
                    )
                ) {
                    $this->later($id);
                }
            }
        }
        $this->alarms->handle();
    }

    /** What could not be recorded of one name is asked for again, later each time. */
    private function later(int $id): void
    {
        $this->database->update(
            "UPDATE observing SET failures = least(failures + 1, 10),
                due_at = ?::timestamptz + least(?, ? * 2 ^ least(failures, 10)) * interval '1 second'
                WHERE name_id = ? AND due_at < 'infinity'",
            [$this->clock->now()->isoSecond(), Pace::Daily->seconds(), self::AGAIN, $id],
        );
    }

    /**
     * @param  array<int, DomainName>  $names
     * @param  array<int, list<DirectoryAnswer>>  $told
     * @param  array<string, DelegationSeen>  $seen
     * @param  array<int, bool>  $isDeep
     */
    private function write(array $names, array $told, array $seen, array $isDeep): void
    {
        $now = $this->clock->now();
        $ids = array_keys($names);
        $this->database->select('SELECT id FROM names WHERE id = ANY (?::bigint[]) ORDER BY id FOR UPDATE', [
            '{'.implode(',', $ids).'}',
        ]);
        $files = $this->files->of($ids, $now);
        $held = $this->held->of(array_filter($files, fn (RollCase $file): bool => $file instanceof HeldCase), $now);
        $changed = [];
        foreach ($names as $id => $name) {
            $this->keep($id, $told[$id], $seen[$name->ascii] ?? null, $now);
            if (isset($files[$id]) && $files[$id] instanceof WatchedCase) {
                if ($this->refresh($id, $told[$id], $files[$id]->facts, $now)) {
                    $changed[] = $id;
                }
            } elseif (isset($files[$id]) && self::isAnswered($told[$id])) {
                $last = [
                    ...array_values(
                        array_filter(
                            array_map(
                                fn (DirectoryAnswer $one): ?Seen => $one->isAnswer
                                    ? new Seen($one->source, $one->record, $now, $one->isPlain)
                                    : null,
                                $told[$id],
                            ),
                        ),
                    ),
                    ...$isDeep[$id] ?? true ? [] : $this->registrars($id, $name),
                ];
                if ($this->drifts->handle($id, $this->between($id, $name, $held[$id], $last, $now), $now)) {
                    $changed[] = $id;
                }
            }
            if (self::isAnswered($told[$id]) && $told[$id][0]->record?->has(Status::ClientTransferProhibited) === true) {
                $this->lock->seen([$id], $now);
            }
            $unseen = self::isAnswered($told[$id]) ? $this->confirm->handle($id, $told[$id][0]->record, $now) : null;
            $watched = isset($seen[$name->ascii]) ? $this->pointing->handle($id, $seen[$name->ascii], $now) : null;
            $unseen ??= $watched;
            if ($this->plan($id, $name, $told[$id], $files[$id] ?? null, $unseen, $isDeep[$id] ?? true, $now) && isset($files[$id])) {
                $changed[] = $id;
            }
        }
        $this->standings->of(array_values(array_unique($changed)));
    }

    /**
     * @param  list<Seen>  $last
     * @return list<CoreDrift>
     */
    private function between(int $id, DomainName $name, Held $held, array $last, Instant $now): array
    {
        $drifts = CoreDrift::between($held, $last, $now);
        if (array_filter($drifts, fn (CoreDrift $drift): bool => $drift->tag === RecordFinding::HolderDiffers) === []) {
            return $drifts;
        }
        // Whether it was another before is looked up only where it matters.
        $before = array_map(fn (array $looks): ?Record => ($looks[1] ?? null)?->record, $this->lastSeen->of($id, $name->ascii));

        return CoreDrift::between(
            $held,
            array_map(
                fn (Seen $one): Seen => new Seen($one->source, $one->record, $one->at, $one->isPlain, $before[$one->source->value] ?? null),
                $last,
            ),
            $now,
        );
    }

    /** @return list<Seen> what the registrar's own directory said last, where it was not asked this time */
    private function registrars(int $id, DomainName $name): array
    {
        $last = $this->lastSeen->of($id, $name->ascii)[Source::Registrar->value][0] ?? null;

        return $last === null ? [] : [new Seen(Source::Registrar, $last->record, $last->last)];
    }

    /**
     * Of a name that is only watched the Roll says what its registry says.
     *
     * @param  list<DirectoryAnswer>  $told
     * @param  NameFacts  $facts  what was known until now
     * @return bool whether that is something else than before
     */
    private function refresh(int $id, array $told, NameFacts $facts, Instant $now): bool
    {
        if (! self::isAnswered($told)) {
            return false;
        }
        $record = $told[0]->record;
        $first = Status::proven($record->statuses ?? []) === Status::proven($facts->statuses) ? $facts->deletedSince ?? $now : $now;
        $columns = [
            'registrar' => $record->registrar ?? ($record->tag ?? ''),
            'registrant' => $record?->field(Field::Organisation)->value ?? ($record?->field(Field::Name)->value ?? ''),
            'created_on' => $record?->created?->isoSecond(),
            'ends_on' => $record?->ends?->isoSecond(),
            'moved_on' => $record?->moved?->isoSecond(),
            'deleted_since' => $record?->deletedSince($first)?->isoSecond(),
            'statuses' => json_encode(
                array_map(fn (Status $status): string => $status->value, $record->statuses ?? []),
                JSON_THROW_ON_ERROR,
            ),
            'servers' => json_encode($record->servers ?? [], JSON_THROW_ON_ERROR),
        ];

        return $this->database->update(
            'UPDATE watchings SET (registrar, registrant, created_on, ends_on, moved_on, deleted_since, statuses, servers) = (:registrar,
                :registrant, :created_on::timestamptz, :ends_on::timestamptz, :moved_on::timestamptz, :deleted_since::timestamptz,
                :statuses::jsonb, :servers::jsonb)
             WHERE name_id = :id AND (registrar, registrant, created_on, ends_on, moved_on, deleted_since, statuses, servers) IS DISTINCT
             FROM (:registrar2, :registrant2, :created_on2::timestamptz, :ends_on2::timestamptz, :moved_on2::timestamptz,
             :deleted_since2::timestamptz, :statuses2::jsonb, :servers2::jsonb)',
            [
                'id' => $id,
                ...$columns,
                ...array_combine(array_map(fn (string $column): string => "{$column}2", array_keys($columns)), $columns),
            ],
        ) > 0;
    }

    /** @param  list<DirectoryAnswer>  $told */
    private static function isAnswered(array $told): bool
    {
        return $told !== [] && $told[0]->isAnswer;
    }

    /** @param  list<DirectoryAnswer>  $told */
    private static function isTooOften(array $told): bool
    {
        return ($told[0]->why ?? null) === FailureReason::TooOften;
    }

    /** @param  list<DirectoryAnswer>  $told */
    private function keep(int $id, array $told, ?DelegationSeen $seen, Instant $now): void
    {
        foreach ($told as $one) {
            if ($one->isAnswer) {
                $this->keep->handle($id, $one->source, $one->from, $one->digest(), $one->record !== null, $one->raw ?? '', $now);
            }
        }
        if ($seen !== null) {
            $this->keep->pointing($id, $seen, $now);
        }
    }

    /**
     * @param  list<DirectoryAnswer>  $told
     * @param  Instant|null  $unseen  when something was done that is not to be seen yet
     * @return bool whether its registry calls it ok and did not before, or the other way round
     */
    private function plan(int $id, DomainName $name, array $told, ?RollCase $file, ?Instant $unseen, bool $isDeep, Instant $now): bool
    {
        $troubles = [];
        foreach ($told as $one) {
            if (! $one->isAnswer && $one->why !== null) {
                $troubles[$one->source->value] = [
                    'why' => $one->why->value,
                    'reason' => $one->reason,
                    'asked' => $one->from,
                    'at' => $now->isoSecond(),
                ];
            }
        }
        $drifted = Row::of(
            $this->database->selectOne(
                "SELECT max(first_seen) AS at, coalesce(bool_or(alarming OR certainty = 'once') FILTER (WHERE state = 'open'),
                    false) AS alarm FROM drifts WHERE name_id = ?",
                [$id],
            ),
        );
        $pace =
            $file === null
                ? Pace::Weekly
                : Pace::of(
                    $file->life($this->book, $now),
                    $unseen !== null || ($file instanceof HeldCase && $file->waiting !== null),
                    $drifted->bool('alarm'),
                    $drifted->instant('at'),
                    $now,
                );
        $isAnswered = self::isAnswered($told);
        $before = Row::of(
            $this->database->selectOne(
                'SELECT coalesce(max(failures), 0) AS failures, coalesce(bool_or(is_ok), false) AS is_ok FROM observing WHERE name_id = ?',
                [$id],
            ),
        );
        $isOk = $isAnswered ? $told[0]->record?->has(Status::Ok) === true : $before->bool('is_ok');
        // Not to have had a turn is no failure.
        $failures = $isAnswered ? 0 : min(10, $before->int('failures') + (self::isTooOften($told) ? 0 : 1));
        // What nobody holds was asked about once, and is not looked at by itself.
        $next =
            $file === null
                ? null
                : ($isAnswered
                    ? $pace->next($name->ascii, $now, $file instanceof HeldCase, $unseen)
                    : $now->plusSeconds(
                        min(
                            $pace->seconds(),
                            Pace::Daily->seconds(),
                            self::isTooOften($told) ? max(60, $told[0]->wait ?? 60) : self::AGAIN * 2 ** max(0, $failures - 1),
                        ),
                    ));
        $this->database
            ->table('observing')
            ->upsert(
                [
                    [
                        ...$isDeep && $isAnswered ? ['deep_at' => $now->isoSecond()] : [],
                        'name_id' => $id,
                        'due_at' => $next?->isoSecond() ?? 'infinity',
                        'pace' => $pace->value,
                        'asked_at' => $now->isoSecond(),
                        'failures' => $failures,
                        'is_ok' => $isOk,
                        'troubles' => json_encode((object) $troubles, JSON_THROW_ON_ERROR),
                    ],
                ],
                ['name_id'],
            );

        return $isOk !== $before->bool('is_ok');
    }
}
