<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Standing\NextKind;
use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What else the days ahead hold: what clients must decide, what must be verified, the last days to keep a name, and holds that end. */
final readonly class ReadDeadlines
{
    /** Days that are told. */
    public const MOST = 40;

    private const DECIDED = [NextKind::AskClient, NextKind::AskedTooLate];

    private const LAST = [NextKind::LatePlain, NextKind::LateDear, NextKind::Suspended, NextKind::Redemption];

    public function __construct(private Connection $database)
    {
    }

    /** @return list<Deadline> by day, the first so many */
    public function of(Asked $asked): array
    {
        $column = match ($asked->scope->kind) {
            ScopeKind::Account => 'account_id',
            ScopeKind::Registrar => 'registrar_id',
            ScopeKind::Client => 'client_id',
            ScopeKind::All => null,
        };
        $scoped = $column === null ? '' : "{$column} = a.scope AND";

        return array_map(
            fn (Row $row): Deadline => new Deadline(
                Instant::of($row->text('day')),
                match ($row->text('kind')) {
                    'verify' => 'verify',
                    'held' => 'held',
                    'last' => 'last',
                    default => 'decide',
                },
                $row->int('names'),
                explode(' ', $row->text('first')),
            ),
            Row::all($this->database->select(
                "WITH a AS (SELECT :from::timestamptz AS since, :until::timestamptz AS until, :scope::bigint AS scope,
                    :last::text[] AS last, :kinds::text[] AS kinds)
                SELECT day, kind, count(*) AS names, array_to_string((array_agg(ascii ORDER BY ascii))[1:3], ' ') AS first FROM (
                    SELECT (held_until AT TIME ZONE 'UTC')::date AS day, 'held' AS kind, ascii FROM standings, a
                        WHERE {$scoped} held_until >= a.since AND held_until < a.until
                    UNION ALL SELECT (verify_by AT TIME ZONE 'UTC')::date, 'verify', ascii FROM standings, a
                        WHERE {$scoped} verify_by >= a.since AND verify_by < a.until
                    UNION ALL SELECT (next_at AT TIME ZONE 'UTC')::date,
                        CASE WHEN next_kind = ANY (a.last) THEN 'last' ELSE 'decide' END, ascii FROM standings, a
                        WHERE {$scoped} next_kind = ANY (a.kinds) AND next_at >= a.since AND next_at < a.until
                ) AS days GROUP BY day, kind ORDER BY day, kind LIMIT :most",
                [
                    'from' => $asked->shownFrom()->isoSecond(),
                    'until' => $asked->shownUntil()->isoSecond(),
                    'last' => self::list(self::LAST),
                    'kinds' => self::list([...self::DECIDED, ...self::LAST]),
                    'scope' => $asked->scope->id,
                    'most' => self::MOST,
                ],
            )),
        );
    }

    /** @param  list<NextKind>  $kinds */
    private static function list(array $kinds): string
    {
        return '{'.implode(',', array_column($kinds, 'value')).'}';
    }
}
