<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Core\Title\RowVerdict;
use Acre\Wire\Lists\DateOrder;
use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\ListRow;
use App\Models\Import;
use App\Models\ImportState;
use App\Support\Failpoint;
use App\Support\Row;
use Illuminate\Contracts\Filesystem\Factory as Storage;
use Illuminate\Database\Connection;

/** Reads a list into its preview, a chunk a transaction; stopped anywhere, it goes on after the last chunk. */
final readonly class ReadImport
{
    public function __construct(
        private Connection $database,
        private Storage $storage,
        private int $chunk,
        private int $limit,
        private string $currency,
    ) {
    }

    public function handle(Import $import): void
    {
        $import->loadMissing('registrar');
        try {
            $file = OpenedList::open($this->storage->disk()->path($import->path), $import->options());
            $columns = array_map(ImportField::from(...), $import->matched['columns'] ?? []);
            $read = new ReadRow(
                $columns,
                $file->headings,
                DateOrder::from($import->matched['order'] ?? DateOrder::YearMonthDay->value),
                $this->currency,
            );
            $seen = 0;
            $before = $import->rows_seen;
            $rows = [];
            foreach ($file->rows() as $row) {
                if (++$seen <= $before) {
                    continue;
                }
                if ($seen > $this->limit) {
                    $said = __('imports.too_many', ['limit' => number_format($this->limit)]);
                    $import->update(['state' => ImportState::Failed, 'failure' => is_string($said) ? $said : 'too many lines']);

                    return;
                }
                $rows[] = $row;
                if (count($rows) === $this->chunk) {
                    $this->keep($import, $rows, $read, $seen);
                    $rows = [];
                }
            }
            $this->keep($import, $rows, $read, $seen);
            $this->database->transaction(function () use ($import, $seen): void {
                if ($import->whole) {
                    $this->missing($import);
                }
                $import->update(['state' => ImportState::Read, 'rows_total' => $seen]);
                Failpoint::ListRead->reach();
            });
        } catch (ListError $e) {
            $import->update(['state' => ImportState::Failed, 'failure' => $e->getMessage()]);
        }
    }

    /** @param  list<ListRow>  $rows */
    private function keep(Import $import, array $rows, ReadRow $read, int $seen): void
    {
        $this->database->transaction(function () use ($import, $rows, $read, $seen): void {
            $parsed = $refused = [];
            foreach ($rows as $row) {
                try {
                    $parsed[$row->line] = $read->handle($row);
                } catch (RefusedRow $e) {
                    $refused[$row->line] = [$read->nameOf($row), $e];
                }
            }
            $lines = (new JudgeRows($this->database, $import))->handle($parsed);
            foreach ($refused as $line => [$ascii, $why]) {
                $lines[$line] = [
                    'verdict' => RowVerdict::Refused->value,
                    'ascii' => $ascii,
                    'facts' => [],
                    'changes' => [],
                    'reason' => ['value' => $why->value, 'why' => $why->getMessage()],
                ];
            }
            ksort($lines);
            $columns = 'import_id, line, verdict, ascii, facts, changes, reason';
            $list = $import->id;
            $rows = array_map(
                fn (int $line, array $row): array => ['import_id' => $list, 'line' => $line, ...$row, 'facts' => (object) $row['facts']],
                array_keys($lines),
                $lines,
            );
            $this->database->statement(
                "INSERT INTO import_rows
                    ({$columns}) SELECT {$columns} FROM json_populate_recordset(NULL::import_rows, ?::json) ON CONFLICT DO NOTHING",
                [json_encode($rows, JSON_THROW_ON_ERROR)],
            );
            $import->update(['rows_seen' => $seen]);
            Failpoint::ListChunkJudged->reach();
        });
        Failpoint::ListChunkKept->reach();
    }

    /** What the Roll has in the account and the list, said to be everything in it, has not: told below its last line. */
    private function missing(Import $import): void
    {
        $this->database->statement(
            "INSERT INTO import_rows (import_id, line, verdict, ascii)
             SELECT ?, (SELECT coalesce(max(line), 1) FROM import_rows WHERE import_id = ?) + row_number() OVER (ORDER BY ascii),
             'missing', ascii
             FROM (SELECT n.ascii FROM holdings h JOIN names n ON n.id = h.name_id
             WHERE h.account_id = ? AND upper_inf(h.span) EXCEPT SELECT r.ascii FROM import_rows r WHERE r.import_id = ?) AS missing",
            [$import->id, $import->id, $import->account_id, $import->id],
        );
    }

    /** @return array<string, int> lines by verdict */
    public function counts(Import $import): array
    {
        $counts = ['new' => 0, 'changed' => 0, 'same' => 0, 'refused' => 0] + ($import->whole ? ['missing' => 0] : []);
        foreach (
            Row::all(
                $this->database
                    ->table('import_rows')
                    ->where('import_id', $import->id)
                    ->groupBy('verdict')
                    ->selectRaw('verdict, count(*) AS lines')
                    ->get(),
            ) as $row
        ) {
            $counts[$row->text('verdict')] = $row->int('lines');
        }

        return $counts;
    }
}
