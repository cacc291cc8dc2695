<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

use Acre\Core\Time\Instant;
use App\Queries\Keyset;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;

/** What people said of things in Rounds, the newest first, and which of them are due all the same. */
final readonly class DealtWith
{
    private const PAGE = 50;

    public function __construct(private Connection $database, private ReadRounds $rounds)
    {
    }

    /** @param  string  $after  where the page before ended */
    public function page(Instant $today, string $after): DealtWithPage
    {
        [$at, $thing] = [...explode('~', $after, 2), ''];
        $at = Keyset::instant($at);
        $rows = Row::all(
            $this->database
                ->table('rounds_marks')
                ->join('users', 'users.id', '=', 'rounds_marks.by_id')
                ->where(fn (Builder $said): Builder => $said->whereNotNull('done_on')->orWhereNotNull('off_until'))
                ->when(
                    $at !== null,
                    fn (Builder $later): Builder => $later->whereRaw('(rounds_marks.updated_at, thing) < (?::timestamptz, ?)', [
                        $at,
                        $thing,
                    ]),
                )
                ->orderByDesc('rounds_marks.updated_at')
                ->orderByDesc('thing')
                ->limit(self::PAGE + 1)
                ->get([
                    'thing',
                    'title',
                    'says',
                    'address',
                    'because',
                    'done_on',
                    'off_until',
                    'rounds_marks.updated_at',
                    'users.name as by',
                ]),
        );
        $isMore = count($rows) > self::PAGE;
        $rows = array_slice($rows, 0, self::PAGE);
        $last = $rows === [] ? null : $rows[count($rows) - 1];

        return new DealtWithPage(
            $rows,
            $this->rounds->dueAgain($today),
            $isMore && $last !== null ? $last->text('updated_at').'~'.$last->text('thing') : null,
        );
    }
}
