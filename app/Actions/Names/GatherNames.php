<?php

declare(strict_types=1);

namespace App\Actions\Names;

use App\Models\User;
use App\Queries\Roll\Sheaf;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Str;

/** The sheaf, and lists pasted for one deed: which names a person is about to act on. */
final readonly class GatherNames
{
    public function __construct(private Connection $database, private int $limit)
    {
    }

    public function sheaf(User $user): Sheaf
    {
        $rows = Row::all($this->database->select(
            "SELECT s.name_id, s.client_id, s.registrar_id FROM selections x JOIN selection_names n ON n.selection_id = x.id
             JOIN standings s ON s.name_id = n.name_id WHERE x.user_id = ? AND x.kind = 'sheaf' ORDER BY s.next_at, s.name_id",
            [$user->id],
        ));
        $distinct = fn (string $column): int => count(array_unique(array_map(fn (Row $row): int => $row->int($column), $rows)));

        return new Sheaf(array_map(fn (Row $row): int => $row->int('name_id'), $rows), $distinct('client_id'), $distinct('registrar_id'));
    }

    /**
     * @param  list<int>  $nameIds  those that nobody holds are passed over
     * @return int how many did not fit any more
     */
    public function add(User $user, array $nameIds): int
    {
        return $this->database->transaction(function () use ($user, $nameIds): int {
            $id = $this->sheafId($user);
            $room = $this->limit - $this->database->table('selection_names')->where('selection_id', $id)->count();
            $this->put($id, array_slice($nameIds, 0, max(0, $room)));

            return max(0, count($nameIds) - max(0, $room));
        });
    }

    /**
     * All that a query finds, without their ids ever leaving the database.
     *
     * @param  Builder  $names  standings, in no order
     * @return int how many did not fit any more
     */
    public function addAll(User $user, Builder $names): int
    {
        return $this->database->transaction(function () use ($user, $names): int {
            $id = $this->sheafId($user);
            $new = $names->whereNotExists(fn (Builder $in) => $in->selectRaw('1')->from('selection_names')->where('selection_id', $id)->whereColumn('selection_names.name_id', 'standings.name_id'));
            $wanted = (clone $new)->count();
            $room = max(0, $this->limit - $this->database->table('selection_names')->where('selection_id', $id)->count());
            $this->database->table('selection_names')->insertUsing(
                ['selection_id', 'name_id'], $new->orderBy('next_at')->orderBy('name_id')->limit($room)->selectRaw('?::uuid, name_id', [$id]),
            );

            return max(0, $wanted - $room);
        });
    }

    /** @param  list<int>  $nameIds */
    public function remove(User $user, array $nameIds): void
    {
        $this->database->table('selection_names')->where('selection_id', $this->sheafId($user))->whereIn('name_id', $nameIds)->delete();
    }

    public function empty(User $user): void
    {
        $this->database->table('selections')->where('user_id', $user->id)->where('kind', 'sheaf')->delete();
    }

    /**
     * A list of its own, for one deed.
     *
     * @param  list<int>  $nameIds
     * @return string its id
     */
    public function list(User $user, array $nameIds): string
    {
        return $this->database->transaction(function () use ($user, $nameIds): string {
            $id = (string) Str::uuid();
            $this->database->table('selections')->insert(['id' => $id, 'user_id' => $user->id, 'kind' => 'list', 'created_at' => $this->database->raw('clock_timestamp()')]);
            $this->put($id, array_slice($nameIds, 0, $this->limit));

            return $id;
        });
    }

    /** @return list<int>|null the names of one's own selection; null: there is no such */
    public function of(User $user, string $id): ?array
    {
        if (! Str::isUuid($id) || $this->database->table('selections')->where('id', $id)->where('user_id', $user->id)->doesntExist()) {
            return null;
        }
        $rows = $this->database->select('SELECT s.name_id FROM selection_names n JOIN standings s ON s.name_id = n.name_id WHERE n.selection_id = ? ORDER BY s.next_at, s.name_id', [$id]);

        return array_map(fn (Row $row): int => $row->int('name_id'), Row::all($rows));
    }

    /** @param  list<int>  $nameIds */
    private function put(string $id, array $nameIds): void
    {
        $this->database->statement(
            'INSERT INTO selection_names (selection_id, name_id) SELECT ?, name_id FROM standings WHERE name_id = ANY (?::bigint[]) ON CONFLICT DO NOTHING',
            [$id, '{'.implode(',', $nameIds).'}'],
        );
    }

    private function sheafId(User $user): string
    {
        $this->database->statement(
            "INSERT INTO selections (id, user_id, kind, created_at, updated_at) VALUES (?, ?, 'sheaf', clock_timestamp(), clock_timestamp()) ON CONFLICT DO NOTHING",
            [(string) Str::uuid(), $user->id],
        );
        $id = $this->database->table('selections')->where('user_id', $user->id)->where('kind', 'sheaf')->value('id');

        return is_string($id) ? $id : '';
    }
}
