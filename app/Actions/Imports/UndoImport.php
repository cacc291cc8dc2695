<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Actions\Contacts\KeepMailboxes;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Drifts\CompareAgain;
use App\Actions\Standings\MakeStandings;
use App\Actions\Words\GiveWords;
use App\Models\Import;
use App\Models\ImportState;
use App\Support\Failpoint;
use App\Support\HouseLog;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Takes a written list back as a whole, a chunk a transaction: what it made is gone, what it changed is as before. */
final readonly class UndoImport
{
    /** A line that something else has touched since: other facts, a deed, a note, another holder. */
    private const TOUCHED = <<<'SQL'
    (NOT EXISTS (SELECT 1 FROM registrations g WHERE g.name_id = n.id AND upper_inf(g.span) AND g.version = r.version)
     OR r.verdict = 'new' AND (EXISTS (SELECT 1 FROM docket_lines d WHERE d.name_id = n.id)
     OR EXISTS (SELECT 1 FROM notes t WHERE t.name_id = n.id) OR EXISTS (SELECT 1 FROM sites i WHERE i.name_id = n.id)
        OR (SELECT count(*) FROM holdings h WHERE h.name_id = n.id) <> 1
        OR (SELECT count(*) FROM registrations g WHERE g.name_id = n.id) <> 1))
    SQL;

    public function __construct(
        private Connection $database,
        private MakeStandings $standings,
        private CompareAgain $compare,
        private HouseLog $log,
        private TradeClock $clock,
        private GiveWords $words,
        private RecordRegistrants $registrants,
        private KeepMailboxes $mailboxes,
        private MadeByList $made,
        private int $chunk,
    ) {
    }

    /** @return list<Row> line, ascii of those that were touched since; while there are any, nothing is taken back */
    public function touched(Import $import, int $limit = 100): array
    {
        return Row::all(
            $this->database->select(
                'SELECT r.line, r.ascii FROM import_rows r JOIN names n ON n.ascii = r.ascii
                    WHERE r.import_id = ? AND r.written AND r.version IS NOT NULL AND '.
                    self::TOUCHED.
                    ' ORDER BY r.line LIMIT ?',
                [$import->id, $limit],
            ),
        );
    }

    public function handle(Import $import): void
    {
        $line = 0;
        do {
            $line = $this->database->transaction(function () use ($import, $line): ?int {
                [$rows, $last] = $this->next($import, $line);
                $this->takeBack($import, $rows);
                Failpoint::ListRowsTakenBack->reach();
                $import->update(['rows_written' => max(0, $import->rows_written - count($rows))]);

                return $last;
            });
            Failpoint::ListChunkTakenBack->reach();
        } while ($line !== null);
        $this->unmakeContacts();
        $this->unmakeWords($import);
        $this->made->unmake($import);
        $import->update(['state' => ImportState::Undone]);
    }

    /** @return array{list<Row>, int|null} the untouched ones of the next lines, their names locked; the last of these lines */
    private function next(Import $import, int $line): array
    {
        $rows = Row::all(
            $this->database->select(
                'SELECT r.line, n.id FROM import_rows r JOIN names n ON n.ascii = r.ascii
                    WHERE r.import_id = ? AND r.written AND r.version IS NOT NULL AND r.line > ? ORDER BY r.line LIMIT ? FOR UPDATE OF n',
                [$import->id, $line, $this->chunk],
            ),
        );
        $lines = '{'.implode(',', array_map(fn (Row $row): int => $row->int('line'), $rows)).'}';

        return [
            Row::all(
                $this->database->select(
                    'SELECT r.line, n.id AS name_id, r.verdict, r.changes FROM import_rows r JOIN names n ON n.ascii = r.ascii
                        WHERE r.import_id = ? AND r.line = ANY (?::integer[]) AND NOT '.
                        self::TOUCHED.
                        ' ORDER BY r.line',
                    [$import->id, $lines],
                ),
            ),
            $rows === [] ? null : $rows[count($rows) - 1]->int('line'),
        ];
    }

    /** @param  list<Row>  $rows */
    private function takeBack(Import $import, array $rows): void
    {
        $new = $changed = $entries = $missing = $standing = $said = [];
        foreach ($rows as $row) {
            $id = $row->int('name_id');
            if ($row->text('verdict') === 'new') {
                $new[] = $id;

                continue;
            }
            $standing[] = $id;
            $entries[] = [
                'event' => 'taken_back',
                'subject' => 'name',
                'subject_id' => $id,
                'data' => ['import' => $import->id, 'line' => $row->int('line')],
            ];
            if ($row->text('verdict') === 'missing') {
                $missing[] = $id;

                continue;
            }
            $before = ImportedFacts::before($row->json('changes'));
            $said[$id] = ImportedFacts::registrant($before);
            if (is_string($before['missing'] ?? null)) {
                $this->database
                    ->table('holdings')
                    ->where('name_id', $id)
                    ->whereRaw('upper_inf(span)')
                    ->update(['missing_since' => $before['missing']]);
            }
            if (array_key_exists('words', $before)) {
                $had = is_array($before['words']) ? $before['words'] : [];
                $given = ImportedFacts::after($row->json('changes'))['words'];
                $this->words->take(
                    [$id],
                    array_values(
                        array_filter(
                            is_array($given) ? $given : [],
                            fn (mixed $label): bool => is_string($label) && ! in_array($label, $had, true),
                        ),
                    ),
                );
            }
            $source = ['from' => 'taken back', 'import' => $import->id, 'at' => $this->clock->today()->iso()];
            $changed[] = [
                'name_id' => $id,
                'facts' => (object) ImportedFacts::columns($before, $this->clock->today()),
                'sources' => (object) array_fill_keys(array_keys(array_diff_key($before, ['missing' => 1])), $source),
            ];
        }
        $this->database
            ->table('holdings')
            ->where('missing_import_id', $import->id)
            ->whereIn('name_id', $missing)
            ->update(['missing_since' => null, 'missing_import_id' => null]);
        if ($changed !== []) {
            $this->database->select(ImportedFacts::UPDATE, [json_encode($changed, JSON_THROW_ON_ERROR)]);
        }
        $this->database
            ->table('import_rows')
            ->where('import_id', $import->id)
            ->whereIn('line', array_map(fn (Row $row): int => $row->int('line'), $rows))
            ->update(['written' => false, 'version' => null]);
        foreach (['holdings' => 'name_id', 'registrations' => 'name_id', 'names' => 'id'] as $table => $column) {
            $this->database->table($table)->whereIn($column, $new)->delete();
        }
        $said = array_filter($said);
        $this->registrants->takeBack(array_keys($said));
        // Where nothing could go on, what stood there is said anew.
        $this->registrants->of($said, 'brought in', $import->user_id);
        $this->compare->handle($standing);
        $this->standings->of($standing);
        $this->log->writeMany($entries, $import->user_id);
    }

    /** Contacts that came with a list and to which nothing refers any more. */
    private function unmakeContacts(): void
    {
        $refers = implode(
            '',
            array_map(fn (string $table): string => " AND NOT EXISTS (SELECT 1 FROM {$table} x WHERE x.contact_id = c.id)", [
                'roles',
                'agreements',
                'confirmations',
                'consents',
                'erasures',
            ]),
        );
        $this->mailboxes->forget(
            array_map(
                fn (Row $row): int => $row->int('mailbox_id'),
                Row::all(
                    $this->database->select(
                        "WITH gone AS (DELETE FROM contacts c USING contact_versions v
                        WHERE v.contact_id = c.id AND c.version = 1 AND v.source = 'brought in'
             AND NOT EXISTS (SELECT 1 FROM contacts m WHERE m.merged_into = c.id) AND c.merged_into IS NULL{$refers} RETURNING v.mailbox_id)
             SELECT DISTINCT mailbox_id FROM gone WHERE mailbox_id IS NOT NULL",
                    ),
                ),
            ),
        );
    }

    /** Words that came with a list and that no name has any more. */
    private function unmakeWords(Import $import): void
    {
        $this->words->forget(
            array_map(
                fn (Row $row): string => $row->text('label'),
                Row::all(
                    $this->database->select(
                        "SELECT DISTINCT w.label FROM import_rows r,
                            jsonb_array_elements_text(CASE jsonb_typeof(r.facts -> 'words') WHEN 'array' THEN r.facts -> 'words' ELSE
                            '[]' END) AS w(label) WHERE r.import_id = ?",
                        [$import->id],
                    ),
                ),
            ),
        );
    }
}
