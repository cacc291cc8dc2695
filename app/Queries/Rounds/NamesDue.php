<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

use Acre\Core\Money\Money;
use Acre\Core\Standing\NextKind;
use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Names by what comes next, those of one client and one day together; read from the index of what comes next. */
final readonly class NamesDue
{
    /** Characters of names that an address holds. */
    private const ADDRESS = 1_500;

    /** Days. */
    private const NEAR = 3;

    /** The names of a group that a deed can be done with at once; of a larger one none. */
    private const LIST = "CASE WHEN d.names <= 50 THEN (SELECT string_agg(x.ascii, ',' ORDER BY x.ascii) FROM standings x
        WHERE x.name_id = ANY (d.ids)) END AS list";

    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  list<NextKind>  $kinds
     * @param  'client'|'account'  $of  whose names stand together
     * @param  int  $most  groups
     * @return list<Row> of_id, next_kind, day, names, sum, currency; client_name, registrar, number, ascii, unicode, ends_on of one of them
     */
    public function grouped(array $kinds, string $of, Instant $today, Instant $until, int $most): array
    {
        $id = "{$of}_id";
        $in = self::kinds($kinds);
        $near = Instant::earliest($until, $today->plusDays(self::NEAR))->isoSecond();
        $list = self::LIST;

        // Counted from the index alone; only the names that stand for their groups are looked up.
        return Row::all(
            $this->database->select(
                // Where the next days alone have more than is shown, only those are counted: more names don't cost more.
                "WITH near AS (
                SELECT CASE WHEN count(DISTINCT ({$id}, next_kind, next_at::date)) >= ? THEN ?::timestamptz ELSE ?::timestamptz END AS until
                FROM standings WHERE next_kind = ANY (?) AND next_at < ?::timestamptz AND later),
             due AS (
                SELECT {$id} AS of_id, next_kind, next_at::date AS day, count(*) AS names, min(name_id) AS one,
                CASE WHEN count(*) <= 50 THEN array_agg(name_id) END AS ids, sum(sum)::text AS sum, min(currency) AS currency,
                min(currency) = max(currency) AS one_currency
                FROM standings WHERE next_kind = ANY (?) AND next_at < (SELECT until FROM near) AND later GROUP BY 1, 2, 3
                ORDER BY 3, 4 DESC LIMIT ?)
             SELECT d.*, s.client_name, s.registrar_name AS registrar, s.account_number AS number, s.ascii, s.unicode, s.ends_on, {$list}
             FROM due d JOIN standings s ON s.name_id = d.one ORDER BY d.day, d.names DESC",
                [$most, $near, $until->isoSecond(), $in, $near, $in, $most],
            ),
        );
    }

    /**
     * Names with which something is wrong already, those of one client, kind and last day together, whenever that is.
     *
     * @param  list<NextKind>  $kinds
     * @param  int  $most  groups
     * @return list<Row> as above; fee: what is asked on top after that day; seen: whether it is so only outside
     */
    public function amiss(array $kinds, int $most): array
    {
        $list = self::LIST;

        return Row::all(
            $this->database->select(
                "WITH due AS (
                SELECT client_id AS of_id, next_kind, next_at::date AS day, count(*) AS names, min(name_id) AS one,
                CASE WHEN count(*) <= 50 THEN array_agg(name_id) END AS ids, sum(sum)::text AS sum, min(currency) AS currency,
                min(currency) = max(currency) AS one_currency
                FROM standings WHERE next_kind = ANY (?) AND NOT later GROUP BY 1, 2, 3 ORDER BY 3, 4 DESC LIMIT ?)
             SELECT d.*, s.client_name, s.registrar_name AS registrar, s.account_number AS number, s.ascii, s.unicode, s.ends_on,
             {$list}, s.marks @> ARRAY['finding:lifecycle.as_seen'] AS seen,
                CASE WHEN d.next_kind = 'late_plain' THEN (SELECT sum((x.facts->'fee'->>0)::numeric)::text FROM standings x
                    WHERE x.next_kind = 'late_plain' AND x.next_at >= d.day AND x.next_at < d.day + 1 AND x.client_id = d.of_id) END AS fee
             FROM due d JOIN standings s ON s.name_id = d.one ORDER BY d.day, d.names DESC",
                [self::kinds($kinds), $most],
            ),
        );
    }

    /** @param  list<NextKind>  $kinds */
    private static function kinds(array $kinds): string
    {
        return '{'.implode(',', array_column($kinds, 'value')).'}';
    }

    /** `tern.works`, or `tern.works and 3 more` */
    public static function title(Row $group): string
    {
        $others = $group->int('names') - 1;

        return $group->text('unicode').($others === 0 ? '' : ' and '.number_format($others).' more');
    }

    /** Null where nothing is recorded, or in more than one currency. */
    public static function money(Row $group, string $column): ?Money
    {
        $sum = $group->textOrNull($column);

        return $sum === null || ! $group->bool('one_currency') ? null : Money::of($sum, $group->text('currency'));
    }

    public static function day(Row $group): Instant
    {
        return Instant::of($group->text('day'));
    }

    /**
     * The button of names that are to be renewed or restored, or were, so many at once as an address holds; more are looked at.
     *
     * @param  array<string, string|int>  $narrow
     * @param  'renew'|'restore'|'record_renewal'  $deed  the last where they may have been renewed, and nobody has confirmed it
     * @return array{string, string} words, in rounds.php, and address
     */
    public static function renewed(Row $group, array $narrow, string $deed = 'record_renewal'): array
    {
        return self::together($group, [$deed], "rounds.{$deed}", $narrow);
    }

    /**
     * The button of a deed with all of them, so many at once as an address holds; more are looked at.
     *
     * @param  array<int|string, string>  $deed  its key, and what is said of it
     * @param  array<string, string|int>  $narrow
     * @return array{string, string} words, in rounds.php, and address
     */
    public static function together(Row $group, array $deed, string $words, array $narrow): array
    {
        $list = $group->textOrNull('list') ?? '';

        return $list !== '' && strlen($list) <= self::ADDRESS
            ? [$words, route('deeds.show', [...$deed, 'name' => $list])]
            : ['rounds.see_them', self::address($group, $narrow)];
    }

    /**
     * One name's own page, or the Roll narrowed to them.
     *
     * @param  array<string, string|int>  $narrow
     */
    public static function address(Row $group, array $narrow): string
    {
        return $group->int('names') === 1 ? route('names.show', $group->text('ascii')) : route('roll', $narrow);
    }
}
