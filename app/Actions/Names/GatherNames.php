<?php

declare(strict_types=1);

namespace App\Actions\Names;

use App\Models\User;
use App\Queries\Roll\Gathered;
use App\Queries\Roll\ReadRoll;
use App\Queries\Roll\RollFilter;
use App\Queries\Roll\Sheaf;
use App\Queries\Roll\Sort;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Str;

/** The sheaf, and lists pasted for one deed: which names a person is about to act on. */
final readonly class GatherNames
{
    public function __construct(private Connection $database, private ReadRoll $roll, private TradeClock $clock, private int $limit)
    {
    }

    public function sheaf(User $user): Sheaf
    {
        $rows = Row::all(
            $this->database->select(
                "SELECT s.name_id, s.client_id, s.registrar_id, s.next_kind = 'watched' AS watched FROM selections x
                    JOIN selection_names n ON n.selection_id = x.id
             JOIN standings s ON s.name_id = n.name_id WHERE x.user_id = ? AND x.kind = 'sheaf' AND NOT n.left_out
             ORDER BY s.later, s.next_at, s.name_id",
                [$user->id],
            ),
        );
        $held = array_filter($rows, fn (Row $row): bool => ! $row->bool('watched'));
        $distinct = fn (string $column): int => count(array_unique(array_map(fn (Row $row): int => $row->int($column), $held)));

        return new Sheaf(
            array_map(fn (Row $row): int => $row->int('name_id'), $rows),
            $distinct('client_id'),
            $distinct('registrar_id'),
            count($rows) - count($held),
        );
    }

    /**
     * @param  list<int>  $nameIds  those that nobody holds are passed over
     * @return int how many did not fit any more
     */
    public function add(User $user, array $nameIds): int
    {
        return $this->database->transaction(function () use ($user, $nameIds): int {
            $id = $this->sheafId($user);
            $room = $this->room($id);
            $this->put($id, array_slice($nameIds, 0, $room));

            return max(0, count($nameIds) - $room);
        });
    }

    /**
     * All that a sentence of the Roll shows, without their ids ever leaving the database. The sentence is kept beside
     * them; said again, it brings what has come to it since, without what was taken out.
     *
     * @return int how many did not fit any more
     */
    public function addAll(User $user, RollFilter $sentence): int
    {
        return $this->database->transaction(function () use ($user, $sentence): int {
            $id = $this->sheafId($user);
            $sentenceId = $this->keepSentence($id, $sentence);
            $new = $this->notIn($id, $sentence);
            $wanted = (clone $new)->count();
            $room = $this->room($id);
            $this->database->table('selection_names')->insertUsing(
                ['selection_id', 'name_id', 'sentence_id'],
                ReadRoll::inOrder($new, Sort::Next->order())
                    ->limit($room)
                    ->selectRaw('?::uuid, name_id, ?::bigint', [$id, $sentenceId]),
            );

            return max(0, $wanted - $room);
        });
    }

    /** @return list<Gathered> the sentences whose names are in the sheaf, the latest first, and how they stand today */
    public function sentences(User $user): array
    {
        $rows = Row::all(
            $this->database->select(
                "SELECT t.id, t.selection_id, t.words, t.gathered_on, count(n.name_id) FILTER (WHERE NOT n.left_out) AS given,
                    count(n.name_id) FILTER (WHERE n.left_out) AS left_out
             FROM selection_sentences t JOIN selections x ON x.id = t.selection_id LEFT JOIN selection_names n ON n.sentence_id = t.id
             WHERE x.user_id = ? AND x.kind = 'sheaf' GROUP BY t.id ORDER BY t.gathered_on DESC, t.id DESC",
                [$user->id],
            ),
        );

        return array_map(function (Row $row): Gathered {
            $sentence = RollFilter::read($row->json('words'));

            return new Gathered(
                $row->int('id'),
                $sentence,
                $row->instant('gathered_on') ?? $this->clock->now(),
                $row->int('given'),
                $row->int('left_out'),
                $this->notIn($row->text('selection_id'), $sentence)->count(),
                $this->gone($row->int('id'), $sentence)->count(),
            );
        }, $rows);
    }

    /**
     * What a kept sentence shows today: those that have come to it are put in, those that it no longer shows are let go.
     *
     * @return int|null how many did not fit any more; null: there is no such sentence in one's sheaf
     */
    public function follow(User $user, int $sentenceId): ?int
    {
        $words = $this->database
            ->table('selection_sentences')
            ->where('id', $sentenceId)
            ->where('selection_id', $this->sheafId($user))
            ->value('words');
        if (! is_string($words)) {
            return null;
        }
        $kept = json_decode($words, true);
        $sentence = RollFilter::read(is_array($kept) ? $kept : []);

        return $this->database->transaction(function () use ($user, $sentenceId, $sentence): int {
            $this->database
                ->table('selection_names')
                ->where('sentence_id', $sentenceId)
                ->whereIn('name_id', $this->gone($sentenceId, $sentence)->select('name_id'))
                ->delete();

            return $this->addAll($user, $sentence);
        });
    }

    /**
     * What a sentence gave stays as its exception; anything else is forgotten.
     *
     * @param  list<int>  $nameIds
     */
    public function remove(User $user, array $nameIds): void
    {
        $of = fn (): Builder => $this->database
            ->table('selection_names')
            ->where('selection_id', $this->sheafId($user))
            ->whereIn('name_id', $nameIds);
        $of()
            ->whereNotNull('sentence_id')
            ->update(['left_out' => true]);
        $of()->whereNull('sentence_id')->delete();
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
            $this->database
                ->table('selections')
                ->insert([
                    'id' => $id,
                    'user_id' => $user->id,
                    'kind' => 'list',
                    'created_at' => $this->database->raw('clock_timestamp()'),
                ]);
            $this->put($id, array_slice($nameIds, 0, $this->limit));

            return $id;
        });
    }

    /**
     * The same of all that a sentence of the Roll shows, whose names stay in the database.
     *
     * @return array{string, int} its id, and how many did not fit
     */
    public function whole(User $user, RollFilter $sentence): array
    {
        return $this->database->transaction(function () use ($user, $sentence): array {
            $id = $this->list($user, []);
            $wanted = $this->notIn($id, $sentence);
            $all = (clone $wanted)->count();
            $this->database->table('selection_names')->insertUsing(
                ['selection_id', 'name_id'],
                ReadRoll::inOrder($wanted, Sort::Next->order())->limit($this->limit)->selectRaw('?::uuid, name_id', [$id]),
            );

            return [$id, max(0, $all - $this->limit)];
        });
    }

    /** @return list<int>|null the names of one's own selection; null: there is no such */
    public function of(User $user, string $id): ?array
    {
        if (! Str::isUuid($id) || $this->database->table('selections')->where('id', $id)->where('user_id', $user->id)->doesntExist()) {
            return null;
        }
        $rows = $this->database->select(
            'SELECT s.name_id FROM selection_names n JOIN standings s ON s.name_id = n.name_id WHERE n.selection_id = ?
                ORDER BY s.later, s.next_at, s.name_id',
            [$id],
        );

        return array_map(fn (Row $row): int => $row->int('name_id'), Row::all($rows));
    }

    /** @param  list<int>  $nameIds */
    private function put(string $id, array $nameIds): void
    {
        $this->database->statement(
            'INSERT INTO selection_names (selection_id, name_id) SELECT ?, name_id FROM standings WHERE name_id = ANY (?::bigint[])
                ON CONFLICT (selection_id, name_id) DO UPDATE SET left_out = false',
            [$id, '{'.implode(',', $nameIds).'}'],
        );
    }

    private function room(string $selectionId): int
    {
        return max(
            0,
            $this->limit -
                $this->database->table('selection_names')->where('selection_id', $selectionId)->where('left_out', false)->count(),
        );
    }

    private function keepSentence(string $selectionId, RollFilter $sentence): int
    {
        $words = json_encode((object) array_diff_key($sentence->words(), ['sort' => 1]), JSON_THROW_ON_ERROR);

        return Row::of(
            $this->database->selectOne(
                'INSERT INTO selection_sentences (selection_id, words, gathered_on) VALUES (?, ?::jsonb, ?::timestamptz)
             ON CONFLICT (selection_id, words) DO UPDATE SET gathered_on = excluded.gathered_on RETURNING id',
                [$selectionId, $words, $this->clock->now()->isoSecond()],
            ),
        )->int('id');
    }

    /** What a sentence shows today and the selection neither has nor leaves out. */
    private function notIn(string $selectionId, RollFilter $sentence): Builder
    {
        return $this->roll
            ->names($sentence, $this->clock->today())
            ->whereNotExists(
                fn (Builder $in) => $in
                    ->selectRaw('1')
                    ->from('selection_names')
                    ->where('selection_id', $selectionId)
                    ->whereColumn('selection_names.name_id', 'standings.name_id'),
            );
    }

    /** What a kept sentence gave and shows no longer. */
    private function gone(int $sentenceId, RollFilter $sentence): Builder
    {
        return $this->database
            ->table('selection_names')
            ->where('sentence_id', $sentenceId)
            ->where('left_out', false)
            ->whereNotIn('name_id', $this->roll->names($sentence, $this->clock->today())->select('name_id'));
    }

    private function sheafId(User $user): string
    {
        $this->database->statement(
            "INSERT INTO selections (id, user_id, kind, created_at, updated_at)
                VALUES (?, ?, 'sheaf', clock_timestamp(), clock_timestamp()) ON CONFLICT DO NOTHING",
            [(string) Str::uuid(), $user->id],
        );
        $id = $this->database->table('selections')->where('user_id', $user->id)->where('kind', 'sheaf')->value('id');

        return is_string($id) ? $id : '';
    }
}
