<?php

declare(strict_types=1);

namespace App\Actions\Setbacks;

use Acre\Wire\Text\PlainText;
use App\Models\SetbackKind;
use App\Support\Outage;
use App\Support\Row;
use App\Support\WithoutValues;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use PDOException;
use Throwable;

/**
 * Keeps one thing that fails from stopping its neighbours: it is set aside with its error, tried again after a wait that
 * grows, and forgotten once it works. A database that is away is nobody's setback: that passes on.
 */
final readonly class SetAside
{
    /** Seconds until the first try after a failure, doubled each time up to the longest: the house's own choice. */
    private const FIRST = 10;

    private const LONGEST = 21_600;

    private const LENGTH = 1_000;

    public function __construct(private Connection $database, private ExceptionHandler $handler)
    {
    }

    /**
     * Does it, unless it waits for its next try.
     *
     * @param  callable(): mixed  $do  in transactions of its own
     * @return bool whether it was done
     */
    public function attempt(
        SetbackKind $kind,
        int $id,
        callable $do,
        ?int $accountId = null,
        ?int $docketId = null,
        ?int $nameId = null,
    ): bool {
        if ($this->rests($kind, [$id]) !== []) {
            return false;
        }
        try {
            $do();
        } catch (Throwable $e) {
            $this->note($kind, $id, $e, $accountId, $docketId, $nameId);

            return false;
        }
        $this->clear($kind, [$id]);

        return true;
    }

    /**
     * Writes the failure down; whoever calls it goes on with what is next.
     *
     * @return int seconds until it is tried again
     *
     * @throws PDOException when the database itself is away
     */
    public function note(SetbackKind $kind, int $id, Throwable $e, ?int $accountId = null, ?int $docketId = null, ?int $nameId = null): int
    {
        if ($e instanceof PDOException && Outage::is($e)) {
            throw $e;
        }
        $this->handler->report($e);
        $row = Row::of(
            $this->database->selectOne(
                "INSERT INTO setbacks AS s (kind, subject_id, account_id, docket_id, name_id, error, retry_at)
                    VALUES (?, ?, ?, ?, ?, ?, clock_timestamp() + ? * interval '1 second')
             ON CONFLICT (kind, subject_id) DO UPDATE SET error = excluded.error, failures = s.failures + 1, last_at = clock_timestamp(),
                retry_at = clock_timestamp() + least(?, ? * 2 ^ least(s.failures, 20)) * interval '1 second'
             RETURNING extract(epoch FROM retry_at - clock_timestamp())::int AS wait",
                [$kind->value, $id, $accountId, $docketId, $nameId, self::said($e), self::FIRST, self::LONGEST, self::FIRST],
            ),
        );

        return max(1, $row->int('wait'));
    }

    /** @param  list<int>  $ids  that work now */
    public function clear(SetbackKind $kind, array $ids): void
    {
        $this->database->delete('DELETE FROM setbacks WHERE kind = ? AND subject_id = ANY (?::bigint[])', [
            $kind->value,
            '{'.implode(',', $ids).'}',
        ]);
    }

    /**
     * @param  list<int>|null  $ids  null: of all
     * @return list<int> those whose next try is yet to come
     */
    public function rests(SetbackKind $kind, ?array $ids = null): array
    {
        $rows = $this->database->select(
            'SELECT subject_id FROM setbacks WHERE kind = ? AND retry_at > clock_timestamp()'.
                ($ids === null ? '' : ' AND subject_id = ANY (?::bigint[])'),
            [$kind->value, ...$ids === null ? [] : ['{'.implode(',', $ids).'}']],
        );

        return array_map(fn (Row $row): int => $row->int('subject_id'), Row::all($rows));
    }

    /** What is shown of an error: never the values that a statement was given. */
    private static function said(Throwable $e): string
    {
        $message = $e instanceof QueryException ? 'The database refused it: '.WithoutValues::said($e) : $e->getMessage();
        $said = trim(PlainText::line($message, self::LENGTH));

        return $said === '' ? class_basename($e) : $said;
    }
}
