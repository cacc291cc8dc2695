<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Wire\Lists\DateOrder;
use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\ListRow;
use App\Models\Import;
use App\Models\ImportState;
use App\Support\Row;
use Illuminate\Contracts\Filesystem\Factory as Storage;
use Illuminate\Database\Connection;

/** Reads a list into its preview, a chunk a transaction; stopped anywhere, it goes on after the last chunk. */
final readonly class ReadImport
{
    public function __construct(private Connection $database, private Storage $storage, private int $chunk, private int $limit)
    {
    }

    public function handle(Import $import): void
    {
        try {
            $file = OpenedList::open($this->storage->disk()->path($import->path));
            $columns = array_map(ImportField::from(...), $import->matched['columns'] ?? []);
            $read = new ReadRow($columns, $file->headings, DateOrder::from($import->matched['order'] ?? DateOrder::YearMonthDay->value));
            $seen = 0;
            $rows = [];
            foreach ($file->rows() as $row) {
                if (++$seen <= $import->rows_seen) {
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
            $import->update(['state' => ImportState::Read, 'rows_total' => $seen]);
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
                    $refused[$row->line] = $e;
                }
            }
            $lines = (new JudgeRows($this->database, $import))->handle($parsed);
            foreach ($refused as $line => $why) {
                $lines[$line] = ['verdict' => 'refused', 'ascii' => null, 'facts' => [], 'changes' => [], 'reason' => ['value' => $why->value, 'why' => $why->getMessage()]];
            }
            ksort($lines);
            $this->database->table('import_rows')->insertOrIgnore(array_map(fn (int $line, array $row): array => [
                'import_id' => $import->id, 'line' => $line, 'verdict' => $row['verdict'], 'ascii' => $row['ascii'],
                'facts' => json_encode((object) $row['facts'], JSON_THROW_ON_ERROR), 'changes' => json_encode($row['changes'], JSON_THROW_ON_ERROR),
                'reason' => $row['reason'] === null ? null : json_encode($row['reason'], JSON_THROW_ON_ERROR),
            ], array_keys($lines), $lines));
            $import->update(['rows_seen' => $seen]);
        });
    }

    /** @return array<string, int> lines by verdict */
    public function counts(Import $import): array
    {
        $counts = ['new' => 0, 'changed' => 0, 'same' => 0, 'refused' => 0];
        foreach (Row::all($this->database->table('import_rows')->where('import_id', $import->id)->groupBy('verdict')->selectRaw('verdict, count(*) AS lines')->get()) as $row) {
            $counts[$row->text('verdict')] = $row->int('lines');
        }

        return $counts;
    }
}
