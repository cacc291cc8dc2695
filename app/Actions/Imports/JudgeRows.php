<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;
use Acre\Core\Title\RowVerdict;
use App\Actions\Words\Labels;
use App\Models\Import;
use App\Support\Folded;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\JoinClause;

/** Says of each line that could be read whether it is new, changed, the same or refused, by what is on the Roll. */
final readonly class JudgeRows
{
    private int $list;

    /** By whom its names are held, in small letters, where a line doesn't say. */
    private string $registrar;

    private int $registrarId;

    private ?int $account;

    public function __construct(private Connection $database, Import $import)
    {
        [$this->list, $this->registrar, $this->registrarId, $this->account] = [
            $import->id,
            mb_strtolower($import->registrar->name),
            $import->registrar_id,
            $import->account_id,
        ];
    }

    /**
     * @param  array<int, array{name: DomainName, facts: array<string, mixed>}>  $parsed  by line
     * @return array<int, array{verdict: string, ascii: string|null, facts: array<string, mixed>, changes: list<array{string, mixed,
     *     mixed}>, reason: array{value: string, why: string}|null}>
     */
    public function handle(array $parsed): array
    {
        $asked = array_values(array_unique(array_map(fn (array $row): string => $row['name']->ascii, $parsed)));
        $held = $this->held($asked);
        $watched = $this->watched(array_values(array_diff($asked, array_keys($held))));
        $before = $this->before($asked);
        $lines = [];
        foreach ($parsed as $line => ['name' => $name, 'facts' => $facts]) {
            try {
                if (isset($before[$name->ascii])) {
                    throw RefusedRow::because('twice', $name->unicode, ['line' => $before[$name->ascii]]);
                }
                $lines[$line] =
                    in_array($name->ascii, $watched, true) && $this->isElsewhere($facts)
                        ? self::line(RowVerdict::Same, $name, $facts)
                        : $this->judge($name, $facts, $held[$name->ascii] ?? null);
                $before[$name->ascii] = $line;
            } catch (RefusedRow $e) {
                $lines[$line] = [
                    'verdict' => RowVerdict::Refused->value,
                    'ascii' => $name->ascii,
                    'facts' => [],
                    'changes' => [],
                    'reason' => ['value' => $e->value, 'why' => $e->getMessage()],
                ];
            }
        }

        return $lines;
    }

    /**
     * Whether a line puts its name into no account of ours.
     *
     * @param  array<string, mixed>  $facts
     */
    private function isElsewhere(array $facts): bool
    {
        $registrar = $facts['registrar'] ?? null;

        return ! isset($facts['account']) &&
            ($this->account === null || (is_string($registrar) && mb_strtolower($registrar) !== $this->registrar));
    }

    /**
     * @param  array<string, mixed>  $facts
     * @return array{verdict: string, ascii: string, facts: array<string, mixed>, changes: list<array{string, mixed, mixed}>, reason: null}
     */
    private function judge(DomainName $name, array $facts, ?Row $held): array
    {
        $registrar = is_string($facts['registrar'] ?? null) ? mb_strtolower($facts['registrar']) : null;
        unset($facts['registrar']);
        if ($held === null) {
            if ($registrar !== null && $registrar !== $this->registrar) {
                throw RefusedRow::because('other_registrar', $registrar);
            }
            if (! isset($facts['account']) && $this->account === null) {
                throw RefusedRow::because('no_account', $name->unicode);
            }

            return self::line(RowVerdict::New, $name, $facts);
        }
        $account = $facts['account'] ?? null;
        $sameAccount = is_string($account)
            ? mb_strtolower($account) === mb_strtolower($held->text('number')) &&
                ($registrar === null
                    ? $held->int('registrar_id') === $this->registrarId
                    : $registrar === mb_strtolower($held->text('registrar_name')))
            : $this->account === null || $this->account === $held->int('account_id');
        if (! $sameAccount) {
            throw RefusedRow::because('other_account', $name->unicode, [
                'account' => $held->text('registrar_name').' '.$held->text('number'),
            ]);
        }
        $client = $facts['client'] ?? null;
        if (
            is_string($client) &&
            ! in_array(
                Folded::of($client),
                array_map(Folded::of(...), [$held->text('client_name'), ...array_filter($held->json('client_spellings'), is_string(...))]),
                true,
            )
        ) {
            throw RefusedRow::because('other_client', $client, ['client' => $held->text('client_name')]);
        }
        $changes = [];
        foreach (array_diff_key($facts, ['account' => 1, 'client' => 1]) as $field => $after) {
            $now = match ($field) {
                'renewal' => $held->textOrNull('own_renewal') === null ? null : [$held->text('own_renewal'), $held->text('own_currency')],
                'created', 'ends', 'moved' => $held->instant("{$field}_on", "{$field}_is_day")?->iso(),
                'statuses', 'raw', 'servers' => $held->json($field),
                'words' => $held->json('labels'),
                default => $held->textOrNull($field),
            };
            if ($field === 'raw' && is_array($now) && is_array($after)) {
                $after = [...$now, ...$after];
                ksort($after);
                ksort($now);
            }
            if ($field === 'words' && is_array($now) && is_array($after)) {
                // A list adds words and takes none away: another list may have given them.
                $after = Labels::joined($now, $after);
            }
            if (! self::isSame($field, $now, $after)) {
                $changes[] = [$field, $now, $after];
            }
        }

        $missing = $held->instant('missing_since');
        if ($missing !== null) {
            $changes[] = ['missing', $missing->date(), null];
        }

        return self::line(RowVerdict::ofHeld($changes), $name, $facts, $changes);
    }

    /**
     * @param  array<string, mixed>  $facts
     * @param  list<array{string, mixed, mixed}>  $changes
     * @return array{verdict: string, ascii: string, facts: array<string, mixed>, changes: list<array{string, mixed, mixed}>, reason: null}
     */
    private static function line(RowVerdict $verdict, DomainName $name, array $facts, array $changes = []): array
    {
        return ['verdict' => $verdict->value, 'ascii' => $name->ascii, 'facts' => $facts, 'changes' => $changes, 'reason' => null];
    }

    private static function isSame(string $field, mixed $now, mixed $after): bool
    {
        return $now === $after ||
            (is_string($now) &&
                is_string($after) &&
                match ($field) {
                    // By what both know: most lists know the day alone.
                    'created', 'ends', 'moved' => Instant::of($now)->agreesWith(Instant::of($after)),
                    // How a mailbox is capitalised is nothing new.
                    'mailbox' => strcasecmp($now, $after) === 0,
                    default => false,
                });
    }

    /**
     * @param  list<string>  $asked
     * @return array<string, Row>
     */
    private function held(array $asked): array
    {
        $found = [];
        $rows = $this->database
            ->table('names')
            ->whereIn('ascii', $asked)
            ->join(
                'registrations',
                fn (JoinClause $join) => $join->on('registrations.name_id', '=', 'names.id')->whereRaw('upper_inf(registrations.span)'),
            )
            ->join(
                'holdings',
                fn (JoinClause $join) => $join->on('holdings.name_id', '=', 'names.id')->whereRaw('upper_inf(holdings.span)'),
            )
            ->join('accounts', 'accounts.id', '=', 'holdings.account_id')
            ->join('registrars', 'registrars.id', '=', 'accounts.registrar_id')
            ->join('clients', 'clients.id', '=', 'holdings.client_id')
            ->leftJoinLateral(
                $this->database
                    ->table('registrants')
                    ->whereColumn('registrants.name_id', 'names.id')
                    ->select(['called', 'address'])
                    ->limit(1),
                'registrants',
            )
            ->select([
                'names.ascii',
                'registrations.*',
                'holdings.missing_since',
                'accounts.id AS account_id',
                'accounts.number',
                'accounts.registrar_id',
                'registrars.name AS registrar_name',
                'clients.name AS client_name',
            ])
            ->selectRaw("(SELECT coalesce(json_agg(m.name), '[]') FROM clients m WHERE m.merged_into = clients.id) AS client_spellings")
            ->selectRaw("nullif(registrants.called, '') AS registrant, registrants.address AS mailbox")
            ->selectRaw(
                "(SELECT coalesce(json_agg(w.label ORDER BY lower(w.label)), '[]') FROM name_words x JOIN words w ON w.id = x.word_id
                    WHERE x.name_id = names.id) AS labels",
            )
            ->get();
        foreach (Row::all($rows) as $row) {
            $found[$row->text('ascii')] = $row;
        }

        return $found;
    }

    /**
     * @param  list<string>  $asked
     * @return list<string> those that are only watched
     */
    private function watched(array $asked): array
    {
        // The names first (OFFSET 0): few watched ones look to the planner like a reason to read every name beside them.
        $names = $this->database
            ->table('names')
            ->whereIn('ascii', $asked)
            ->offset(0)
            ->select(['id', 'ascii']);
        $rows = Row::all(
            $this->database
                ->query()
                ->fromSub($names, 'names')
                ->join('watchings', 'watchings.name_id', '=', 'names.id')
                ->get(['names.ascii']),
        );

        return array_map(fn (Row $row): string => $row->text('ascii'), $rows);
    }

    /**
     * Names that an earlier chunk of this list has already.
     *
     * @param  list<string>  $asked
     * @return array<string, int> line by name
     */
    private function before(array $asked): array
    {
        $found = [];
        // One by one, each by `import_rows_name`: of a list that is being read PostgreSQL has no statistics yet, and would read all of it.
        $rows = $this->database->select(
            "SELECT a.ascii, (SELECT r.line FROM import_rows r
                WHERE r.ascii = a.ascii AND r.import_id + 0 = ? AND r.verdict <> 'refused') AS line
                FROM json_array_elements_text(?::json) AS a(ascii)",
            [$this->list, json_encode($asked, JSON_THROW_ON_ERROR)],
        );
        foreach (Row::all($rows) as $row) {
            $line = $row->intOrNull('line');
            if ($line !== null) {
                $found[$row->text('ascii')] = $line;
            }
        }

        return $found;
    }
}
