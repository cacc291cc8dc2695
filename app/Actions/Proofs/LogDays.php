<?php

declare(strict_types=1);

namespace App\Actions\Proofs;

use Acre\Core\Time\Instant;
use Acre\Core\Title\LogDay;
use App\Support\Row;
use Generator;
use Illuminate\Database\Connection;
use Illuminate\Support\LazyCollection;

/**
 * The log, day by day: a day that is over is closed with the digest of its rows and of the day before, so that a row that is gone,
 * changed, added or dated back shows.
 */
final readonly class LogDays
{
    /** Seconds after its end that a day waits for whoever was still writing. */
    private const GRACE = 3600;

    private const TOGETHER = 5000;

    /** A row as its line: JSON as PostgreSQL writes it. */
    private const LINE = <<<'SQL'
    id, jsonb_build_array(id, to_char(at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US'),
    to_char(trade_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US'),
        user_id, from_address, event, subject, subject_id, data)::text AS line
    SQL;

    public function __construct(private Connection $database)
    {
    }

    /** A partition a month, a year ahead; one that nobody made in time still takes what was written meanwhile. */
    public function openMonths(): int
    {
        $made = $this->database->selectOne("SELECT log_months((clock_timestamp() + interval '12 months')::date) AS made");

        return Row::of($made)->int('made');
    }

    /** @return int how many days were closed */
    public function close(?Instant $now = null): int
    {
        $now ??= Row::of($this->database->selectOne('SELECT clock_timestamp() AS now'))->instant('now') ?? Instant::second(time());
        $closed = 0;
        while ($this->database->transaction(fn (): bool => $this->closeNext($now))) {
            $closed++;
        }

        return $closed;
    }

    /** @return Generator<int, string> what is wrong with the days that were closed */
    public function faults(): Generator
    {
        $before = null;
        foreach ($this->closed() as $day) {
            $name = $day->text('day');
            if ($before === null) {
                $earlier = $this->database
                    ->table('log')
                    ->where('at', '<', "{$name} 00:00:00+00")
                    ->count();
                if ($earlier > 0) {
                    yield "the log begins on {$name}, but {$earlier} rows are dated before it";
                }
            } elseif ($name !== self::next($before->text('day'))) {
                yield 'the day '.self::next($before->text('day')).' of the log is missing';
            }
            if ($day->textOrNull('previous_sha256') !== $before?->text('sha256')) {
                yield "the log’s day {$name} does not carry the digest of the day before it";
            }
            [$rows, , $sha256] = $this->sum($name, null);
            if ($rows !== $day->int('rows')) {
                yield "the log had {$day->int('rows')} rows on {$name}, now it has {$rows}";
            } elseif (! hash_equals($day->text('rows_sha256'), $sha256)) {
                yield "a row of the log of {$name} was changed";
            }
            if (
                ! hash_equals(
                    LogDay::of($name, $day->int('rows'), $day->text('rows_sha256'), $day->textOrNull('previous_sha256'))->sha256,
                    $day->text('sha256'),
                )
            ) {
                yield "the digest of the log’s day {$name} is not that of what it says";
            }
            $before = $day;
        }
    }

    private function closeNext(Instant $now): bool
    {
        // One at a time; who comes second sees what the first has closed.
        $this->database->select('SELECT pg_advisory_xact_lock(2, 1)');
        $last = $this->database->table('days_of_log')->orderByDesc('day')->first();
        $last = $last === null ? null : Row::of($last);
        $first = Row::of($this->database->table('log')->selectRaw("(min(at) AT TIME ZONE 'UTC')::date AS day")->first())->textOrNull('day');
        $day = $last === null ? $first : self::next($last->text('day'));
        if (
            $day === null ||
            ! Instant::of("{$day}T00:00:00Z")
                ->plusDays(1)
                ->plusSeconds(self::GRACE)
                ->hasComeAt($now) ||
            $this->isStillWritten($day)
        ) {
            return false;
        }
        [$rows, $to, $sha256] = $this->sum($day, $last?->int('to_row'));
        $this->database->table('days_of_log')->insert([
            'day' => $day,
            'rows' => $rows,
            'to_row' => $to,
            'rows_sha256' => $sha256,
            'previous_sha256' => $last?->text('sha256'),
            'sha256' => LogDay::of($day, $rows, $sha256, $last?->text('sha256'))->sha256,
        ]);

        return true;
    }

    /** Whether something that began before the day was over is still going on, and may yet write into it. */
    private function isStillWritten(string $day): bool
    {
        return $this->database
            ->table('pg_stat_activity')
            ->whereRaw('datname = current_database() AND pid <> pg_backend_pid()')
            ->where('xact_start', '<', self::next($day).' 00:00:00+00')
            ->exists();
    }

    /** @return array{int, int, string} how many rows a day has, the number of the last, and the digest of them */
    private function sum(string $day, ?int $to): array
    {
        $hash = hash_init('sha256');
        $rows = 0;
        $to ??= 0;
        $those = $this->database
            ->table('log')
            ->where('at', '>=', "{$day} 00:00:00+00")
            ->where('at', '<', self::next($day).' 00:00:00+00')
            ->selectRaw(self::LINE);
        foreach ($those->lazyById(self::TOGETHER, 'id') as $row) {
            $row = Row::of($row);
            hash_update($hash, $row->text('line')."\n");
            $rows++;
            $to = $row->int('id');
        }

        return [$rows, $to, hash_final($hash)];
    }

    /** @return LazyCollection<int, Row> */
    private function closed(): LazyCollection
    {
        return $this->database->table('days_of_log')->orderBy('day')->lazy(500)->map(fn (mixed $day): Row => Row::of($day));
    }

    private static function next(string $day): string
    {
        return Instant::of($day)->plusDays(1)->date();
    }
}
