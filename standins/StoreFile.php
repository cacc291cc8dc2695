<?php

declare(strict_types=1);

namespace Standin;

use Closure;
use PDO;
use PDOStatement;
use Standin\Registry\Registered;
use Throwable;

/**
 * The file that the world is kept in, as statements. What is written stands there at once or, where somebody sees to that, right after the
 * answer that told of it. Whoever reads meanwhile finds it.
 */
final class StoreFile
{
    private readonly PDO $file;

    /** @var array<string, PDOStatement> */
    private array $prepared = [];

    /** @var list<array{string, list<string|int|Registered|null>}> statements with their values that are not carried out yet */
    private array $unwritten = [];

    /** @var (Closure(): void)|null */
    private ?Closure $before = null;

    /**
     * @param  string  $tables  what makes those that are not there
     * @param  (Closure(Closure(): void): void)|null  $later  lets something happen once what is answered now is on its way; null: at once
     */
    public function __construct(string $path, string $tables, private readonly ?Closure $later)
    {
        $this->file = new PDO("sqlite:{$path}", null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $this->file->exec('PRAGMA locking_mode = EXCLUSIVE');
        $this->file->exec('PRAGMA journal_mode = WAL');
        $this->file->exec('PRAGMA synchronous = NORMAL');
        $this->file->exec($tables);
    }

    /** @param  Closure(): void  $before  called before all that waits is recorded */
    public function before(Closure $before): void
    {
        $this->before = $before;
    }

    /**
     * All of it, or nothing.
     *
     * @param  callable(): void  $do
     * @param  callable(): void  $undone  called where it was nothing
     */
    public function together(callable $do, callable $undone): void
    {
        $this->writeDown();
        $this->file->beginTransaction();
        try {
            $do();
        } catch (Throwable $e) {
            $this->file->rollBack();
            $undone();
            throw $e;
        }
        $this->file->commit();
    }

    /** @param  list<string>  $tables */
    public function empty(array $tables): void
    {
        foreach ($tables as $table) {
            $this->file->exec("DELETE FROM {$table}");
        }
        $this->unwritten = [];
    }

    public function writeDown(): void
    {
        if ($this->before !== null) {
            ($this->before)();
        }
        if ($this->file->inTransaction()) {
            $this->carryOut();
        } elseif ($this->unwritten !== []) {
            $this->file->beginTransaction();
            $this->carryOut();
            $this->file->commit();
        }
    }

    /** With all that waits, and not before. */
    public function queue(string $sql, string $value): void
    {
        $this->unwritten[] = [$sql, [$value]];
    }

    public function text(string $sql, string|int ...$values): ?string
    {
        $statement = $this->run($sql, ...$values);
        $value = $statement->fetchColumn();
        $statement->closeCursor();

        return is_string($value) || is_int($value) ? (string) $value : null;
    }

    /** @return list<array{string, string}> */
    public function all(string $sql, string|int ...$values): array
    {
        $rows = [];
        foreach ($this->run($sql, ...$values)->fetchAll(PDO::FETCH_NUM) as $row) {
            if (is_array($row) && is_string($row[0] ?? null) && is_string($row[1] ?? null)) {
                $rows[] = [$row[0], $row[1]];
            }
        }

        return $rows;
    }

    public function write(string $sql, string|int|Registered|null ...$values): void
    {
        $this->unwritten[] = [$sql, array_values($values)];
        if ($this->later === null || $this->file->inTransaction()) {
            $this->carryOut();
        } elseif (count($this->unwritten) === 1) {
            ($this->later)($this->writeDown(...));
        }
    }

    public function run(string $sql, string|int ...$values): PDOStatement
    {
        $this->carryOut();

        return $this->execute($sql, array_values($values));
    }

    /** What was written until now, so that whoever reads finds it. */
    private function carryOut(): void
    {
        [$unwritten, $this->unwritten] = [$this->unwritten, []];
        foreach ($unwritten as [$sql, $values]) {
            $this->execute(
                $sql,
                array_map(
                    fn (string|int|Registered|null $value): string|int|null => $value instanceof Registered ? $value->json() : $value,
                    $values,
                ),
            );
        }
    }

    /** @param  list<string|int|null>  $values */
    private function execute(string $sql, array $values): PDOStatement
    {
        $statement = $this->prepared[$sql] ??= $this->file->prepare($sql);
        $statement->execute($values);

        return $statement;
    }
}
