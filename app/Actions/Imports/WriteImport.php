<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Names\GiveWords;
use App\Actions\Standings\MakeStandings;
use App\Models\Account;
use App\Models\Casts\AsSpan;
use App\Models\Client;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\Name;
use App\Models\Registration;
use App\Support\HouseLog;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * Writes what a list's preview promised, a chunk a transaction, each name whole or not at all. Stopped anywhere, it goes
 * on with the lines that are not yet written.
 */
final readonly class WriteImport
{
    public function __construct(private Connection $database, private MakeStandings $standings, private HouseLog $log, private TradeClock $clock, private GiveWords $words, private int $chunk)
    {
    }

    public function handle(Import $import): void
    {
        do {
            $count = $this->database->transaction(function () use ($import): int {
                $rows = Row::all($this->database->table('import_rows')->where('import_id', $import->id)->where('written', false)
                    ->whereIn('verdict', ['new', 'changed'])->orderBy('line')->limit($this->chunk)->get());
                $this->write($import, $rows);
                $import->update(['rows_written' => $import->rows_written + count($rows)]);

                return count($rows);
            });
        } while ($count > 0);
        $import->update(['state' => ImportState::Done]);
    }

    /** @param  list<Row>  $rows */
    private function write(Import $import, array $rows): void
    {
        $names = $entries = $lines = [];
        foreach ($rows as $row) {
            $facts = $row->json('facts');
            try {
                $id = $row->text('verdict') === 'new' ? $this->create($import, $row->text('ascii'), $facts) : $this->change($import, $row);
                $names[] = $id;
                $lines[] = $row->int('line');
                $entries[] = ['event' => $row->text('verdict') === 'new' ? 'brought_in' : 'brought_in_again', 'subject' => 'name', 'subject_id' => $id, 'data' => ['import' => $import->id, 'line' => $row->int('line')]];
            } catch (RefusedRow $e) {
                $this->database->table('import_rows')->where('import_id', $import->id)->where('line', $row->int('line'))
                    ->update(['verdict' => 'refused', 'written' => true, 'reason' => json_encode(['value' => $e->value, 'why' => $e->getMessage()])]);
            }
        }
        $this->standings->of($names);
        $this->log->writeMany($entries, $import->user_id);
        $this->database->table('import_rows')->where('import_id', $import->id)->whereIn('line', $lines)->update(['written' => true]);
    }

    /** @param  array<array-key, mixed>  $facts */
    private function create(Import $import, string $ascii, array $facts): int
    {
        $domain = DomainName::of($ascii);
        $name = Name::query()->firstOrCreate(['ascii' => $ascii], ['unicode' => $domain->unicode, 'suffix' => $domain->suffix()]);
        Name::query()->lockForUpdate()->findOrFail($name->id);
        if (Registration::query()->where('name_id', $name->id)->whereRaw('upper_inf(span)')->exists()) {
            throw RefusedRow::because('twice', $ascii, ['line' => '?']);
        }
        $account = $this->account($import, is_string($facts['account'] ?? null) ? $facts['account'] : null);
        $client = $this->client($import, is_string($facts['client'] ?? null) ? $facts['client'] : null);
        $columns = $this->columns($facts);
        $created = $columns['created_on'] ?? null;
        $now = $this->clock->now();
        $registration = Registration::query()->create([
            'name_id' => $name->id, 'span' => Span::since($created instanceof Instant && $created->hasComeAt($now) ? $created : $now),
            'sources' => $this->sources($import, array_keys($facts)),
        ] + $columns);
        // It is known to be there since it was brought in; what was before is not known.
        $this->database->table('holdings')->insert([
            'name_id' => $name->id, 'registration_id' => $registration->id, 'account_id' => $account->id, 'client_id' => $client->id, 'span' => AsSpan::write(Span::since($now)),
        ]);

        $this->label($name->id, $facts);

        return $name->id;
    }

    private function change(Import $import, Row $row): int
    {
        $name = Name::query()->where('ascii', $row->text('ascii'))->lockForUpdate()->firstOrFail();
        $registration = Registration::query()->where('name_id', $name->id)->whereRaw('upper_inf(span)')->firstOrFail();
        $changed = [];
        foreach ($row->json('changes') as $change) {
            if (is_array($change) && is_string($change[0] ?? null)) {
                $changed[$change[0]] = $change[2] ?? null;
            }
        }
        $registration->fill($this->columns($changed));
        $registration->version++;
        $registration->sources = [...$registration->sources, ...$this->sources($import, array_keys($changed))];
        $registration->save();
        $this->label($name->id, $changed);

        return $name->id;
    }

    /** @param  array<array-key, mixed>  $facts */
    private function label(int $nameId, array $facts): void
    {
        if (is_array($facts['words'] ?? null)) {
            $this->words->give([$nameId], array_values(array_filter($facts['words'], is_string(...))));
        }
    }

    /**
     * @param  array<array-key, mixed>  $facts
     * @return array<string, mixed> columns of a registration
     */
    private function columns(array $facts): array
    {
        $columns = [];
        foreach ($facts as $field => $value) {
            $columns += match ($field) {
                'created', 'ends', 'moved' => ["{$field}_on" => is_string($value) ? Instant::of($value) : null],
                'mailbox' => ['registrant_mailbox' => $value],
                'statuses', 'raw', 'intent', 'lock', 'registrant', 'reference', 'disclosure', 'servers' => [$field => $value],
                default => [],
            };
        }

        return $columns;
    }

    /**
     * @param  list<array-key>  $fields
     * @return array<string, array<string, mixed>>
     */
    private function sources(Import $import, array $fields): array
    {
        return array_fill_keys(array_map(strval(...), $fields), ['from' => 'brought in', 'import' => $import->id, 'at' => $this->clock->today()->iso()]);
    }

    private function account(Import $import, ?string $number): Account
    {
        $account = $number === null
            ? Account::query()->find($import->account_id)
            : Account::query()->where('registrar_id', $import->registrar_id)->whereRaw('lower(number) = lower(?)', [$number])->first();

        return $account ?? throw RefusedRow::because('not_created', $number ?? '', ['what' => 'Account '.($number ?? '')]);
    }

    private function client(Import $import, ?string $name): Client
    {
        $client = match (true) {
            $name !== null => Client::query()->whereRaw('lower(name) = lower(?)', [$name])->first(),
            $import->client_id !== null => Client::query()->find($import->client_id),
            default => Client::query()->where('is_house', true)->first(),
        };

        return $client ?? throw RefusedRow::because('not_created', $name ?? '', ['what' => 'Client “'.($name ?? '').'”']);
    }
}
