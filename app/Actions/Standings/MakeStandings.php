<?php

declare(strict_types=1);

namespace App\Actions\Standings;

use Acre\Core\Disclosure\Disclosure;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Standing\Standing;
use Acre\Core\Time\Instant;
use App\Actions\Setbacks\SetAside;
use App\Jobs\MakeStandingsSoon;
use App\Models\SetbackKind;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Queries\Names\RollCase;
use App\Queries\Names\StandingFacts;
use App\Queries\Roll\Facet;
use App\Support\Outage;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;
use PDOException;
use Throwable;

/**
 * Makes the flat rows that the Roll reads. Run twice, it writes the same; what comes out as it stood is not written.
 *
 * A standing is made with its name locked. Whatever makes others stale only adds marks, which waits for nobody; who holds
 * names may therefore be sure that nothing else holds their standings.
 */
final readonly class MakeStandings
{
    private const BATCH = 1_000;

    /** Until when prices that begin or end were looked for. */
    private const PRICES = 'prices_looked';

    /** The columns of a standing that this class writes. */
    private const COLUMNS = [
        'name_id',
        'ascii',
        'unicode',
        'suffix',
        'client_id',
        'client_name',
        'account_id',
        'account_number',
        'registrar_id',
        'registrar_name',
        'phase',
        'intent',
        'lock',
        'registrant',
        'mailbox',
        'reference',
        'disclosure',
        'servers',
        'marks',
        'created_on',
        'ends_on',
        'later',
        'next_at',
        'next_kind',
        'held_until',
        'sum',
        'currency',
        'severity',
        'facts',
        'verify_by',
    ];

    public function __construct(
        private Connection $database,
        private CaseFiles $files,
        private Rulebook $book,
        private SetAside $aside,
        private TradeClock $clock,
    ) {
    }

    /**
     * At once, in the caller's transaction; a name that nobody holds or watches loses its row.
     *
     * @param  list<int>  $nameIds
     */
    public function of(array $nameIds): void
    {
        $now = $this->clock->now();
        sort($nameIds);
        foreach (array_chunk(array_unique($nameIds), self::BATCH) as $ids) {
            $in = '{'.implode(',', $ids).'}';
            $this->database->select('SELECT id FROM names WHERE id = ANY (?::bigint[]) ORDER BY id FOR NO KEY UPDATE', [$in]);
            $files = $this->files->of($ids, $now);
            $before = [];
            foreach (
                Row::all($this->database->select('SELECT name_id, digest FROM standing_ages
                    WHERE name_id = ANY (?::bigint[])', [$in])) as $row
            ) {
                $before[$row->int('name_id')] = $row->text('digest');
            }
            $rows = $ages = $changed = [];
            foreach ($files as $id => $file) {
                $standing = $file->standing($this->book, $now);
                $row = json_encode($this->row($file, $standing), JSON_THROW_ON_ERROR);
                $digest = hash('xxh128', $row);
                if ($digest !== ($before[$id] ?? null)) {
                    $rows[] = $row;
                    $changed[] = $id;
                }
                $ages[] = [
                    'name_id' => $id,
                    'stands_from' => $now,
                    'stands_until' => self::until($standing, $file)?->isoSecond() ?? 'infinity',
                    'rulebook' => $this->book->digest(),
                    'digest' => $digest,
                ];
            }
            $this->put('standings', self::COLUMNS, '['.implode(',', $rows).']');
            $this->put(
                'standing_ages',
                ['name_id', 'stands_from', 'stands_until', 'rulebook', 'digest'],
                json_encode($ages, JSON_THROW_ON_ERROR),
            );
            $this->staleGuarded($changed);
            $gone = array_values(array_diff($ids, array_keys($files)));
            if ($gone !== []) {
                $this->database->table('standings')->whereIn('name_id', $gone)->delete();
                $this->database->table('standing_ages')->whereIn('name_id', $gone)->delete();
            }
        }
    }

    /**
     * What is meant with a name must be known for every other whose mailbox lies in it.
     *
     * @param  list<int>  $nameIds  whose standing has changed
     */
    private function staleGuarded(array $nameIds): void
    {
        if ($nameIds === []) {
            return;
        }
        $in = '{'.implode(',', $nameIds).'}';
        // The mailboxes by themselves, of which there are nearly always none: joined in one statement, all roles are read to find them.
        $mailboxes = array_map(
            fn (Row $row): int => $row->int('id'),
            Row::all(
                $this->database->select(
                    "SELECT m.id FROM names n JOIN mailboxes m ON m.site = n.ascii AND m.site <> '' WHERE n.id = ANY (?::bigint[])",
                    [$in],
                ),
            ),
        );
        if ($mailboxes !== []) {
            $this->mark(
                "SELECT o.name_id FROM contact_versions v JOIN roles o ON o.contact_id = v.contact_id AND o.role = 'registrant'
                    AND upper_inf(o.span)
                 WHERE v.mailbox_id = ANY (?::bigint[]) AND upper_inf(v.span) AND o.name_id <> ALL (?::bigint[])",
                ['{'.implode(',', $mailboxes).'}', $in],
            );
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
        $this->database->transaction($this->pricesTurned(...));
        $this->database->transaction($this->spread(...));
        do {
            try {
                $count = $this->database->transaction(fn (): int => $this->some(self::BATCH));
            } catch (Throwable $e) {
                $count = $this->oneByOne($e);
            }
            $made += $count;
            if ($progress !== null && $count > 0) {
                $progress($made);
            }
        } while ($count > 0 && ($batches === null || --$batches > 0));

        return $made;
    }

    /** From the day on which a price or an offer begins or ends, names at its registrar cost something else. */
    private function pricesTurned(): void
    {
        // Whoever looks just now looks for all.
        if ($this->database->scalar('SELECT pg_try_advisory_xact_lock(7311)') !== true) {
            return;
        }
        $now = $this->clock->now();
        $kept = $this->database->table('settings')->where('key', self::PRICES)->value('value');
        $last = is_string($kept) ? Instant::second((int) $kept) : $now;
        foreach (['prices', 'offers'] as $table) {
            $this->database->insert(
                "INSERT INTO standings_stale_groups (whose, whose_id) SELECT DISTINCT 'registrar_id', registrar_id FROM {$table}
                    WHERE (lower(span) > ?::timestamptz AND lower(span) <= ?::timestamptz)
                    OR (upper(span) > ?::timestamptz AND upper(span) <= ?::timestamptz)",
                [$last->isoSecond(), $now->isoSecond(), $last->isoSecond(), $now->isoSecond()],
            );
        }
        $this->database->table('settings')->upsert([['key' => self::PRICES, 'value' => (string) $now->epoch]], ['key'], ['value']);
    }

    /**
     * Names that somebody holds just now are passed over: whoever holds them makes their standings, or leaves the mark.
     *
     * @return int how many were made
     */
    private function some(int $most): int
    {
        $due = $this->dueNames($most);
        $made = $this->made($due);
        if ($due !== []) {
            $this->aside->clear(SetbackKind::Standing, $due);
        }

        return $made;
    }

    /** One name that can't be judged keeps no other from it. */
    private function oneByOne(Throwable $e): int
    {
        if ($e instanceof PDOException && Outage::is($e)) {
            throw $e;
        }
        $made = 0;
        foreach ($this->dueNames(self::BATCH) as $id) {
            $made += (int) $this->aside->attempt(
                SetbackKind::Standing,
                $id,
                fn (): int => $this->database->transaction(fn (): int => $this->made([$id])),
                nameId: $id,
            );
        }

        return $made;
    }

    /** @return list<int> */
    private function dueNames(int $most): array
    {
        return array_map(
            fn (Row $row): int => $row->int('name_id'),
            Row::all(
                $this->database->select(
                    "SELECT name_id FROM ((SELECT DISTINCT name_id FROM standings_stale ORDER BY name_id LIMIT ?)
                        UNION (SELECT name_id FROM standing_ages WHERE stands_until <= ?::timestamptz ORDER BY stands_until LIMIT ?)) due
             WHERE NOT EXISTS (SELECT FROM setbacks b WHERE b.kind = 'standing' AND b.subject_id = due.name_id
             AND b.retry_at > clock_timestamp()) LIMIT ?",
                    [$most, $this->clock->now()->isoSecond(), $most, $most],
                ),
            ),
        );
    }

    /**
     * @param  list<int>  $nameIds
     * @return int how many were made
     */
    private function made(array $nameIds): int
    {
        $rows =
            $nameIds === []
                ? []
                : $this->database->select('SELECT id FROM names WHERE id = ANY (?::bigint[]) ORDER BY id FOR NO KEY UPDATE SKIP LOCKED', [
                    '{'.implode(',', $nameIds).'}',
                ]);
        $ids = array_map(fn (Row $row): int => $row->int('id'), Row::all($rows));
        // Before the facts are read: what is marked after this is made again.
        $this->database->delete('DELETE FROM standings_stale WHERE name_id = ANY (?::bigint[])', ['{'.implode(',', $ids).'}']);
        $this->of($ids);

        return count($ids);
    }

    /**
     * @param  string  $names  a query of names' ids
     * @param  list<mixed>  $with
     */
    private function mark(string $names, array $with): int
    {
        return $this->database->affectingStatement("INSERT INTO standings_stale (name_id) {$names}", $with);
    }

    /** What was judged by another edition of the rulebook, or all of it, is due now. */
    public function staleByRulebook(bool $all = false): int
    {
        return $this->mark('SELECT name_id FROM standing_ages WHERE rulebook <> ? OR ?', [$this->book->digest(), $all]);
    }

    /**
     * In the transaction that changes terms, prices, an account or a client, however many names that has.
     *
     * @param  'client_id'|'account_id'|'registrar_id'  $whose
     */
    public function stale(string $whose, int $id): void
    {
        $this->database->table('standings_stale_groups')->insert(['whose' => $whose, 'whose_id' => $id]);
    }

    /**
     * After that: where it has few names they are made at once, so that the next page is true; else by a worker, soon.
     *
     * @param  'client_id'|'account_id'|'registrar_id'  $whose
     */
    public function soon(string $whose, int $id): void
    {
        $names = $this->database
            ->table('standings')
            ->where($whose, $id)
            ->limit(self::BATCH + 1)
            ->pluck('name_id')
            ->all();
        count($names) > self::BATCH
            ? MakeStandingsSoon::dispatch()
            : $this->database->transaction(fn (): int => $this->made(array_values(array_filter($names, is_int(...)))));
    }

    /** Marks all the names of the groups that were changed. */
    private function spread(): void
    {
        $groups = Row::all(
            $this->database->select(
                'DELETE FROM standings_stale_groups WHERE id IN (
                    SELECT id FROM standings_stale_groups ORDER BY id FOR UPDATE SKIP LOCKED
                 ) RETURNING whose, whose_id',
            ),
        );
        foreach ($groups as $group) {
            $this->mark("SELECT name_id FROM standings WHERE {$group->text('whose')} = ?", [$group->int('whose_id')]);
        }
    }

    /** In the transaction that changes what a contact says or is. */
    public function staleByContact(int $contactId): void
    {
        $this->mark('SELECT name_id FROM roles WHERE contact_id = ? AND upper_inf(span)', [$contactId]);
    }

    /**
     * In the transaction that learns something of mailboxes: whatever carries them is judged anew.
     *
     * @param  list<int>  $mailboxIds
     */
    public function staleByMailbox(array $mailboxIds): void
    {
        $this->mark(
            'SELECT DISTINCT o.name_id FROM roles o JOIN contact_versions v ON v.contact_id = o.contact_id AND upper_inf(v.span)
                WHERE upper_inf(o.span) AND v.mailbox_id = ANY (?::bigint[])',
            ['{'.implode(',', $mailboxIds).'}'],
        );
    }

    /**
     * In the transaction that changes what is known of these names.
     *
     * @param  list<int>  $nameIds
     */
    public function staleNames(array $nameIds): void
    {
        $this->mark('SELECT unnest(?::bigint[])', ['{'.implode(',', $nameIds).'}']);
    }

    /**
     * Rows as one value: a statement of thousands of placeholders takes longer to read than to carry out.
     *
     * @param  list<string>  $columns  name_id first
     * @param  string  $rows  a JSON list
     */
    private function put(string $table, array $columns, string $rows): void
    {
        if ($rows === '[]') {
            return;
        }
        $list = implode(', ', $columns);
        $set = implode(', ', array_map(fn (string $column): string => "{$column} = excluded.{$column}", array_slice($columns, 1)));
        $this->database->statement(
            "INSERT INTO {$table}
                ({$list}) SELECT {$list} FROM json_populate_recordset(NULL::{$table}, ?::json) ON CONFLICT (name_id) DO UPDATE SET {$set}",
            [$rows],
        );
    }

    private static function until(Standing $standing, RollCase $file): ?Instant
    {
        $held = $file instanceof HeldCase ? $file : null;
        $verification = $file->verification($standing->lifecycle);
        $silent = $verification?->isDue() === true ? $held?->guard?->silentFrom() : null;
        $instants = array_filter([
            $standing->until,
            $verification?->until(),
            $silent?->isAfter($standing->lifecycle->now) === true ? $silent : null,
            $held?->privacy?->until($standing->lifecycle->now),
        ]);

        return $instants === [] ? null : Instant::earliest(...array_values($instants));
    }

    /** @return array<string, mixed> */
    private function row(RollCase $file, Standing $standing): array
    {
        $verification = $file->verification($standing->lifecycle);
        $held = $file instanceof HeldCase ? $file : null;

        return [
            'name_id' => $file->nameId,
            'ascii' => $file->facts->name->ascii,
            'unicode' => $file->facts->name->unicode,
            'suffix' => $file->facts->name->suffix(),
            'client_id' => $file->clientId,
            'client_name' => $file->clientName,
            'account_id' => $file->account()->id ?? 0,
            'account_number' => $file->account()->number ?? '',
            'registrar_id' => $file->account()->registrar ?? 0,
            'registrar_name' => $file->registrarName(),
            'phase' => $standing->lifecycle->phase->value,
            'intent' => $file->facts->intent->value,
            'lock' => $file->facts->isLocked() ? 'on' : $file->facts->lock->value,
            'registrant' => $file->registrant,
            'mailbox' => $held->guard->mailbox ?? '',
            'reference' => $held->reference ?? '',
            'disclosure' => ($held->disclosure ?? Disclosure::NotKnown)->value,
            'servers' => implode(' ', $file->servers),
            'marks' => Facet::marksOf($file, $standing),
            'created_on' => $file->facts->created?->isoSecond() ?? 'infinity',
            'ends_on' => $file->facts->ends?->isoSecond() ?? 'infinity',
            'later' => ! $standing->isAmiss,
            'next_at' => $standing->at?->isoSecond() ?? 'infinity',
            'next_kind' => $standing->next->value,
            'held_until' => $standing->heldUntil()?->isoSecond() ?? 'infinity',
            'sum' => $standing->sum?->decimal(),
            'currency' => $standing->sum?->currency,
            'severity' => $standing->severity->value,
            'facts' => (object) StandingFacts::pack($file),
            'verify_by' => $verification !== null && $verification->isDue() ? $verification->by?->isoSecond() ?? 'infinity' : 'infinity',
        ];
    }
}
