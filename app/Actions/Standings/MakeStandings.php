<?php

declare(strict_types=1);

namespace App\Actions\Standings;

use Acre\Core\Lifecycle\Standing;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Queries\Names\CaseFile;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\StandingFacts;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Makes the flat rows that the Roll reads. Run twice, it writes the same. */
final readonly class MakeStandings
{
    private const BATCH = 500;

    public function __construct(private Connection $database, private CaseFiles $files, private Rulebook $book, private TradeClock $clock)
    {
    }

    /**
     * At once, in the caller's transaction; a name that nobody holds loses its row.
     *
     * @param  list<int>  $nameIds
     */
    public function of(array $nameIds): void
    {
        $now = $this->clock->now();
        foreach (array_chunk($nameIds, self::BATCH) as $ids) {
            $files = $this->files->of($ids, $now);
            $rows = array_map(fn (CaseFile $file): array => $this->row($file, $now), array_values($files));
            if ($rows !== []) {
                $this->database->table('standings')->upsert($rows, ['name_id']);
            }
            $gone = array_values(array_diff($ids, array_keys($files)));
            if ($gone !== []) {
                $this->database->table('standings')->whereIn('name_id', $gone)->delete();
            }
        }
    }

    /**
     * Takes what is due, a batch at a time; several workers may do so at once.
     *
     * @param  callable(int): void|null  $progress  told how many have been made so far
     * @param  int|null  $batches  stop after so many, and leave the rest to the scheduler
     * @return int how many were made
     */
    public function due(?callable $progress = null, ?int $batches = null): int
    {
        $made = 0;
        do {
            $count = $this->database->transaction(function (): int {
                $rows = Row::all($this->database->select(
                    'SELECT name_id FROM standings WHERE stands_until <= ?::timestamptz ORDER BY stands_until LIMIT ? FOR UPDATE SKIP LOCKED',
                    [$this->clock->now()->isoSecond(), self::BATCH],
                ));
                $this->of(array_map(fn (Row $row): int => $row->int('name_id'), $rows));

                return count($rows);
            });
            $made += $count;
            if ($progress !== null && $count > 0) {
                $progress($made);
            }
        } while ($count > 0 && ($batches === null || --$batches > 0));

        return $made;
    }

    /** What was judged by another edition of the rulebook, or all of it, is due now. */
    public function staleByRulebook(bool $all = false): int
    {
        return $this->database->affectingStatement(
            "UPDATE standings SET stands_until = '-infinity' WHERE rulebook <> ? OR ?", [$this->book->digest(), $all],
        );
    }

    /** In the transaction that changes terms, prices, an account or a client. */
    public function stale(string $column, int $id): void
    {
        $this->database->table('standings')->where($column, $id)->update(['stands_until' => '-infinity']);
    }

    /** @return array<string, mixed> */
    private function row(CaseFile $file, Instant $now): array
    {
        $standing = Standing::of($file->life($this->book, $now), $file->waiting);

        return [
            'name_id' => $file->nameId,
            'ascii' => $file->facts->name->ascii,
            'unicode' => $file->facts->name->unicode,
            'suffix' => $file->facts->name->suffix(),
            'client_id' => $file->clientId,
            'client_name' => $file->clientName,
            'account_id' => $file->account->id,
            'account_number' => $file->account->number,
            'registrar_id' => $file->account->registrar,
            'registrar_name' => $file->account->registrarName,
            'phase' => $standing->lifecycle->phase->value,
            'intent' => $file->facts->intent->value,
            'lock' => $file->facts->isLocked() ? 'on' : $file->facts->lock->value,
            'registrant' => $file->registrant,
            'created_on' => $file->facts->created?->isoSecond() ?? 'infinity',
            'ends_on' => $file->facts->ends?->isoSecond() ?? 'infinity',
            'next_at' => $standing->at?->isoSecond() ?? 'infinity',
            'next_kind' => $standing->next->value,
            'sum' => $standing->sum?->decimal(),
            'currency' => $standing->sum?->currency,
            'severity' => $standing->severity->value,
            'findings' => json_encode($standing->findings, JSON_THROW_ON_ERROR),
            'facts' => json_encode((object) StandingFacts::pack($file), JSON_THROW_ON_ERROR),
            'stands_from' => $now->isoSecond(),
            'stands_until' => $standing->until?->isoSecond() ?? 'infinity',
            'rulebook' => $this->book->digest(),
        ];
    }
}
