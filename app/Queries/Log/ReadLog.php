<?php

declare(strict_types=1);

namespace App\Queries\Log;

use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;

/** The log by keyset, newest first: who, what, when, from where. */
final readonly class ReadLog
{
    private const PAGE = 100;

    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  string  $text  a part of what was written, of a name or of a person
     * @param  int|null  $before  the id that the page before ended with
     * @return array{list<Row>, int|null} rows, and where the next page begins
     */
    public function page(?int $userId, string $event, string $text, ?int $before): array
    {
        $rows = Row::all(
            $this->database
                ->table('log as l')
                ->leftJoin('users as u', 'u.id', '=', 'l.user_id')
                ->leftJoin('names as n', fn (JoinClause $join) => $join->on('n.id', '=', 'l.subject_id')->where('l.subject', 'name'))
                ->when($userId !== null, fn (Builder $query) => $query->where('l.user_id', $userId))
                ->when($event !== '', fn (Builder $query) => $query->where('l.event', $event))
                ->when(
                    $text !== '',
                    fn (Builder $query) => $query->where(
                        fn (Builder $any) => $any
                            ->whereRaw('l.data::text ILIKE ?', ['%'.addcslashes($text, '%_\\').'%'])
                            ->orWhereRaw('n.unicode ILIKE ?', ['%'.addcslashes($text, '%_\\').'%'])
                            ->orWhereRaw('u.name ILIKE ?', ['%'.addcslashes($text, '%_\\').'%']),
                    ),
                )
                ->when($before !== null, fn (Builder $query) => $query->where('l.id', '<', $before))
                ->orderByDesc('l.id')
                ->limit(self::PAGE + 1)
                ->get([
                    'l.id',
                    'l.at',
                    'l.trade_at',
                    'l.event',
                    'l.subject',
                    'l.subject_id',
                    'l.data',
                    'l.from_address',
                    'u.name as person',
                    'n.ascii',
                    'n.unicode',
                ]),
        );
        $more = count($rows) > self::PAGE;
        $rows = array_slice($rows, 0, self::PAGE);

        return [$rows, $more && $rows !== [] ? $rows[count($rows) - 1]->int('id') : null];
    }

    /** @return list<string> everything that was ever written, by its key */
    public function events(): array
    {
        // A loose walk over an index would be quicker; there are a few dozen.
        $events = $this->database->table('log')->orderByDesc('id')->limit(20_000)->select('event');

        return array_values(
            array_filter(
                $this->database->query()->fromSub($events, 'l')->distinct()->orderBy('event')->pluck('event')->all(),
                is_string(...),
            ),
        );
    }
}
