<?php

declare(strict_types=1);

namespace App\Queries;

use Acre\Core\Standing\NextKind;
use App\Models\Account;
use App\Models\Client;
use App\Models\Registrar;
use App\Queries\Accounts\Unlocked;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;

/** How many names there are of each client, registrar or account. */
final readonly class Tallies
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * Of those asked for; what is only watched for somebody is held nowhere.
     *
     * @param  'client_id'|'registrar_id'|'account_id'  $column
     * @param  iterable<Client|Registrar|Account>  $of
     * @return array<int, Row> by id: names, grave, first_end
     */
    public function by(string $column, iterable $of): array
    {
        $found = $ids = [];
        foreach ($of as $one) {
            $ids[] = $one->id;
        }
        $rows = $this->held()
            ->whereIn($column, $ids)
            ->groupBy($column)
            ->selectRaw(
                "{$column} AS id, count(*) AS names, count(*) FILTER (WHERE severity = 3) AS grave,
                    min(ends_on) FILTER (WHERE phase = 'in_term') AS first_end",
            )
            ->get();
        foreach (Row::all($rows) as $row) {
            $found[$row->int('id')] = $row;
        }

        return $found;
    }

    /** @return list<Row> where a client's names are held: account_id, account_number, registrar_name, names */
    public function heldFor(int $clientId): array
    {
        return Row::all(
            $this->held()
                ->where('client_id', $clientId)
                ->groupBy('account_id', 'account_number', 'registrar_name')
                ->orderByRaw('count(*) DESC')
                ->selectRaw('account_id, account_number, registrar_name, count(*) AS names')
                ->get(),
        );
    }

    public function watchedFor(int $clientId): int
    {
        return $this->database->table('watchings')->where('client_id', $clientId)->count();
    }

    private function held(): Builder
    {
        return $this->database->table('standings')->where('next_kind', '<>', NextKind::Watched->value);
    }

    /** @return int|null the last docket for which an account was unlocked, where nobody has said since that it is locked again */
    public function unlockedFor(int $accountId): ?int
    {
        $docket = $this->database->scalar('SELECT max(m.docket_id) '.Unlocked::OPEN.' AND l.giving_account_id = ?', [$accountId]);

        return is_int($docket) ? $docket : null;
    }

    /** The docket by which an account last received names, and when. */
    public function lastHandover(int $accountId): ?Row
    {
        $row = $this->database
            ->table('holdings')
            ->where('account_id', $accountId)
            ->whereNotNull('docket_id')
            ->orderByRaw('lower(span) DESC')
            ->selectRaw('docket_id, lower(span) AS at')
            ->first();

        return $row === null ? null : Row::of($row);
    }

    /** How many extras run with an account's names. */
    public function extrasIn(int $accountId): int
    {
        return $this->database
            ->table('extras')
            ->join('registrations', 'registrations.id', '=', 'extras.registration_id')
            ->join('standings', 'standings.name_id', '=', 'registrations.name_id')
            ->whereRaw('upper_inf(registrations.span)')
            ->whereNull('extras.ended_on')
            ->where('standings.account_id', $accountId)
            ->where('standings.next_kind', '<>', NextKind::Watched->value)
            ->count();
    }

    /** One name of those that an account holds, to know it by. */
    public function exampleIn(int $accountId): ?string
    {
        $name = $this->database->table('standings')->where('account_id', $accountId)->orderBy('created_on')->value('unicode');

        return is_string($name) ? $name : null;
    }
}
