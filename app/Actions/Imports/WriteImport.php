<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;
use Acre\Core\Title\RowVerdict;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Drifts\CompareAgain;
use App\Actions\Standings\MakeStandings;
use App\Actions\Words\GiveWords;
use App\Models\Import;
use App\Models\ImportState;
use App\Support\Failpoint;
use App\Support\Folded;
use App\Support\HouseLog;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Contracts\Events\Dispatcher;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;

/**
 * Writes what a list's preview promised, a chunk a transaction, each name whole or not at all. Stopped anywhere, it goes
 * on with the lines that are not yet written. A chunk is a handful of statements, however many lines it has.
 */
final readonly class WriteImport
{
    public function __construct(
        private Connection $database,
        private MakeStandings $standings,
        private CompareAgain $compare,
        private HouseLog $log,
        private TradeClock $clock,
        private GiveWords $words,
        private RecordRegistrants $registrants,
        private Dispatcher $events,
        private int $chunk,
    ) {
    }

    /** Several workers may do so at once; whoever writes the last line says that it is done. */
    public function handle(Import $import): void
    {
        // From where this worker was last, so that what is written isn't read again; what another left behind it is met in a last round
        // from the beginning.
        $after = -1;
        do {
            [$count, $last] = $this->database->transaction(function () use ($import, $after): array {
                $rows = Row::all(
                    $this->left($import)
                        ->where('line', '>', $after)
                        ->orderBy('line')
                        ->limit($this->chunk)
                        ->lock('FOR UPDATE SKIP LOCKED')
                        ->get(),
                );
                Failpoint::ListRowsLocked->reach();
                $this->write($import, $rows);
                Failpoint::ListRowsMarked->reach();
                // Last, because it keeps the others waiting.
                $import->newQuery()->whereKey($import->id)->increment('rows_written', count($rows));

                return [count($rows), $rows === [] ? -1 : $rows[count($rows) - 1]->int('line')];
            });
            Failpoint::ListChunkWritten->reach();
            [$isLastRound, $after] = [$after === -1, $last];
        } while ($count > 0 || ! $isLastRound);
        if (! $this->left($import)->exists()) {
            $import
                ->newQuery()
                ->whereKey($import->id)
                ->where('state', ImportState::Writing)
                ->update(['state' => ImportState::Done]);
        }
        $import->refresh();
    }

    private function left(Import $import): Builder
    {
        // Said by what is left out: an index of verdicts would have all that is left sorted for each chunk, where the lines stand in order.
        return $this->database
            ->table('import_rows')
            ->where('import_id', $import->id)
            ->where('written', false)
            ->whereNotIn('verdict', [RowVerdict::Same->value, RowVerdict::Refused->value]);
    }

    /** @param  list<Row>  $rows */
    private function write(Import $import, array $rows): void
    {
        $of = ['new' => [], 'changed' => [], 'missing' => []];
        foreach ($rows as $row) {
            $of[$row->text('verdict')][$row->text('ascii')] = $row;
        }
        $this->lockNames($of);
        $created = $this->create($import, $of['new']);
        $changed = $this->change($import, $of['changed']);
        $written = [...$created, ...$changed, ...$this->miss($import, array_keys($of['missing']))];
        $entries = $done = $said = [];
        $list = $import->id;
        foreach ($rows as $row) {
            [$id, $version, $event] = $written[$row->text('ascii')] ?? [null, null, ''];
            if ($id !== null) {
                $said[$id] = ImportedFacts::registrant(
                    $row->text('verdict') === RowVerdict::Changed->value
                        ? ImportedFacts::after($row->json('changes'))
                        : $row->json('facts'),
                );
                $entries[] = [
                    'event' => $event,
                    'subject' => 'name',
                    'subject_id' => $id,
                    'data' => ['import' => $list, 'line' => $row->int('line')] +
                        ($event === 'brought_in_again' && $import->because !== null ? ['because' => $import->because] : []),
                ];
            }
            $done[] = ['import_id' => $list, 'line' => $row->int('line'), 'version' => $version];
        }
        $this->registrants->of(array_filter($said), 'brought in', $import->user_id);
        Failpoint::ListNamesWritten->reach();
        $this->compare->handle(array_column($changed, 0));
        $this->standings->of(array_column($written, 0));
        Failpoint::ListStandingsMade->reach();
        if ($created !== []) {
            $this->events->dispatch(new ImportedNames(array_column($created, 0)));
        }
        $this->log->writeMany($entries, $import->user_id);
        // The list's number in each line: said once, it is a list without statistics, taken to be empty and read whole.
        $this->database->update(
            'UPDATE import_rows r SET written = true, version = d.version
             FROM json_to_recordset(?::json) AS d(import_id bigint, line integer, version integer)
             WHERE r.import_id = d.import_id AND r.line = d.line',
            [json_encode($done, JSON_THROW_ON_ERROR)],
        );
    }

    /**
     * All names of a chunk, once and in one order: two lists that share names, or a list and a look outside, would wait for each other.
     *
     * @param  array<string, array<string, Row>>  $of  by verdict and name
     */
    private function lockNames(array $of): void
    {
        $new = array_map(strval(...), array_keys($of['new']));
        sort($new, SORT_STRING);
        $names = array_map(function (string $ascii): array {
            $name = DomainName::of($ascii);

            return ['ascii' => $ascii, 'unicode' => $name->unicode, 'suffix' => $name->suffix()];
        }, $new);
        if ($names !== []) {
            $this->database->statement(
                'INSERT INTO names (ascii, unicode, suffix, created_at, updated_at) SELECT ascii, unicode, suffix, now(), now()
                    FROM json_populate_recordset(NULL::names, ?::json) ON CONFLICT (ascii) DO NOTHING',
                [json_encode($names, JSON_THROW_ON_ERROR)],
            );
        }
        $this->locked([...$new, ...array_map(strval(...), [...array_keys($of['changed']), ...array_keys($of['missing'])])]);
    }

    /**
     * @param  array<string, Row>  $rows  by name
     * @return array<string, array{int, int, string}> name id, version, event; what was refused after all is not among them
     */
    private function create(Import $import, array $rows): array
    {
        $facts = array_map(fn (Row $row): array => $row->json('facts'), $rows);
        $places = $this->places($import, $rows, $facts);
        $rows = array_intersect_key($rows, $places);
        if ($rows === []) {
            return [];
        }
        $ids = $this->locked(array_keys($rows));
        foreach (
            Row::all(
                $this->database
                    ->table('registrations')
                    ->whereIn('name_id', $ids)
                    ->whereRaw('upper_inf(span)')
                    ->get(['name_id']),
            ) as $held
        ) {
            $ascii = (string) array_search($held->int('name_id'), $ids, true);
            $this->refuse($import, $rows[$ascii], RefusedRow::because('meanwhile', $ascii));
            unset($ids[$ascii], $rows[$ascii]);
        }
        $now = $this->clock->now();
        $registrations = $holdings = $written = [];
        [$today, $since] = [$now->toDay(), $now->isoSecond()];
        $source = $this->source($import);
        foreach (array_keys($rows) as $ascii) {
            $said = $facts[$ascii];
            $created =
                is_string($said['created'] ?? null) && Instant::of($said['created'])->hasComeAt($now)
                    ? Instant::of($said['created'])->isoSecond()
                    : $since;
            $registrations[] = [
                'name_id' => $ids[$ascii],
                'span' => "[{$created},)",
                'sources' => (object) array_fill_keys(array_keys($said), $source),
                ...ImportedFacts::columns($said, $today),
            ];
            // It is known to be there since it was brought in; what was before is not known.
            $holdings[] = [
                'name_id' => $ids[$ascii],
                'span' => "[{$since},)",
                'account_id' => $places[$ascii][0],
                'client_id' => $places[$ascii][1],
            ];
            $written[$ascii] = [$ids[$ascii], 1, 'brought_in'];
        }
        $this->database->statement(ImportedFacts::INSERT, [json_encode($registrations, JSON_THROW_ON_ERROR)]);
        $this->database->statement(
            'INSERT INTO holdings (name_id, registration_id, account_id, client_id, span) SELECT h.name_id, r.id, h.account_id,
                h.client_id, h.span
             FROM json_populate_recordset(NULL::holdings, ?::json) h JOIN registrations r ON r.name_id = h.name_id AND upper_inf(r.span)',
            [json_encode($holdings, JSON_THROW_ON_ERROR)],
        );
        $this->label($ids, array_map(fn (array $said): mixed => $said['words'] ?? null, array_intersect_key($facts, $rows)));

        return $written;
    }

    /**
     * @param  array<string, Row>  $rows  by name
     * @return array<string, array{int, int, string}>
     */
    private function change(Import $import, array $rows): array
    {
        if ($rows === []) {
            return [];
        }
        $ids = $this->locked(array_map(strval(...), array_keys($rows)));
        $changed = $labels = $seen = [];
        $source = $this->source($import);
        $today = $this->clock->today();
        foreach ($rows as $ascii => $row) {
            $facts = ImportedFacts::after($row->json('changes'));
            $labels[$ascii] = $facts['words'] ?? null;
            if (array_key_exists('missing', $facts)) {
                $seen[] = $ids[$ascii];
            }
            unset($facts['missing']);
            $changed[] = [
                'name_id' => $ids[$ascii],
                'facts' => (object) ImportedFacts::columns($facts, $today),
                'sources' => (object) array_fill_keys(array_keys($facts), $source),
            ];
        }
        $versions = [];
        foreach (Row::all($this->database->select(ImportedFacts::UPDATE, [json_encode($changed, JSON_THROW_ON_ERROR)])) as $row) {
            $versions[$row->int('name_id')] = $row->int('version');
        }
        $this->label($ids, $labels);
        $this->database
            ->table('holdings')
            ->whereIn('name_id', $seen)
            ->whereRaw('upper_inf(span)')
            ->update(['missing_since' => null, 'missing_import_id' => null]);
        $written = [];
        foreach (array_keys($rows) as $ascii) {
            $written[$ascii] = [$ids[$ascii], $versions[$ids[$ascii]], 'brought_in_again'];
        }

        return $written;
    }

    /**
     * @param  list<string>  $names
     * @return array<string, array{int, int, string}>
     */
    private function miss(Import $import, array $names): array
    {
        $written = [];
        if ($names !== []) {
            $rows = $this->database->select(
                'UPDATE holdings h SET missing_since = ?::timestamptz, missing_import_id = ? FROM names n, registrations r
                 WHERE n.id = h.name_id AND r.id = h.registration_id AND n.ascii IN (SELECT json_array_elements_text(?::json))
                 AND h.account_id = ? AND upper_inf(h.span) AND h.missing_since IS NULL
                 RETURNING n.ascii, n.id, r.version',
                [$this->clock->today()->isoSecond(), $import->id, json_encode($names, JSON_THROW_ON_ERROR), $import->account_id],
            );
            foreach (Row::all($rows) as $row) {
                $written[$row->text('ascii')] = [$row->int('id'), $row->int('version'), 'not_in_list'];
            }
        }

        return $written;
    }

    /**
     * @param  list<string>  $names
     * @return array<string, int> ids by name, their rows locked
     */
    private function locked(array $names): array
    {
        $ids = [];
        foreach (
            Row::all(
                $this->database
                    ->table('names')
                    ->whereIn('ascii', $names)
                    ->orderBy('id')
                    ->lockForUpdate()
                    ->get(['id', 'ascii']),
            ) as $row
        ) {
            $ids[$row->text('ascii')] = $row->int('id');
        }

        return $ids;
    }

    /**
     * Where each new name goes. A line whose account or client was not to be created is refused.
     *
     * @param  array<string, Row>  $rows
     * @param  array<string, array<array-key, mixed>>  $facts  what each says
     * @return array<string, array{int, int}> account and client
     */
    private function places(Import $import, array $rows, array $facts): array
    {
        $accounts = $this->known('accounts', 'number', array_column($facts, 'account'), $import->registrar_id);
        $clients = $this->known('clients', 'name', array_column($facts, 'client'));
        $account = $import->account_id;
        $client = $import->client_id ?? $this->database->table('clients')->where('is_house', true)->value('id');
        $places = [];
        foreach ($facts as $ascii => $said) {
            try {
                $places[$ascii] = [
                    $this->place($said['account'] ?? null, $accounts, $account, 'Account '),
                    $this->place($said['client'] ?? null, $clients, is_int($client) ? $client : null, 'Client '),
                ];
            } catch (RefusedRow $e) {
                $this->refuse($import, $rows[$ascii], $e);
            }
        }

        return $places;
    }

    /** @param  array<string, int>  $known  by what they are called, folded */
    private function place(mixed $said, array $known, ?int $otherwise, string $what): int
    {
        $said = is_string($said) ? $said : null;

        return ($said === null ? $otherwise : $known[Folded::of($said)] ?? null) ??
            throw RefusedRow::because('not_created', $said ?? '', ['what' => $what.($said ?? '')]);
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @return array<string, int> ids by the value, folded
     */
    private function known(string $table, string $column, array $values, ?int $registrar = null): array
    {
        $found = [];
        $alike = $table === 'clients' ? 'folded' : 'lower';
        $rows = $this->database->select(
            'SELECT '.
                ($table === 'clients' ? 'coalesce(merged_into, id) AS id' : 'id').
                ", {$column} AS value FROM {$table} WHERE {$alike}({$column}) IN (SELECT {$alike}(json_array_elements_text(?::json)))".
                ($registrar === null ? '' : ' AND registrar_id = ?'),
            [
                json_encode(array_values(array_unique(array_filter($values, is_string(...)))), JSON_THROW_ON_ERROR),
                ...$registrar === null ? [] : [$registrar],
            ],
        );
        foreach (Row::all($rows) as $row) {
            $found[Folded::of($row->text('value'))] = $row->int('id');
        }

        return $found;
    }

    private function refuse(Import $import, Row $row, RefusedRow $why): void
    {
        $this->database
            ->table('import_rows')
            ->where('import_id', $import->id)
            ->where('line', $row->int('line'))
            ->update([
                'verdict' => RowVerdict::Refused->value,
                'reason' => json_encode(['value' => $why->value, 'why' => $why->getMessage()], JSON_THROW_ON_ERROR),
            ]);
    }

    /**
     * @param  array<string, int>  $ids  by name
     * @param  array<string, mixed>  $labels  a list of words by name, or nothing
     */
    private function label(array $ids, array $labels): void
    {
        $alike = [];
        foreach ($labels as $ascii => $words) {
            if (is_array($words) && $words !== []) {
                $alike[json_encode($words, JSON_THROW_ON_ERROR)][] = $ids[$ascii];
            }
        }
        // All of them first and in one order: two workers that wait for each other's new words would never end.
        $this->words->make(array_merge(...array_values(array_filter($labels, is_array(...)))));
        foreach ($alike as $words => $names) {
            $given = json_decode($words, true);
            $this->words->give($names, array_values(array_filter(is_array($given) ? $given : [], is_string(...))));
        }
    }

    /** @return array{from: string, import: int, at: string} */
    private function source(Import $import): array
    {
        return ['from' => 'brought in', 'import' => $import->id, 'at' => $this->clock->today()->iso()];
    }
}
