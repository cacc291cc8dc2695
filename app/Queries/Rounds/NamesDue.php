<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

use Acre\Core\Lifecycle\NextKind;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Names by what comes next, those of one client and one day together; read from the index of what comes next. */
final readonly class NamesDue
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  list<NextKind>  $kinds
     * @param  'client'|'account'  $of  whose names stand together
     * @param  Instant|null  $until  null: however late
     * @return list<Row> of_id, of_name, registrar, number, day, names, ascii, unicode (of one of them), sum, fee, currency
     */
    public function grouped(array $kinds, string $of, ?Instant $until): array
    {
        $columns = $of === 'client' ? ['client_id', 'client_name'] : ['account_id', 'account_number'];

        return Row::all($this->database->select(
            "SELECT {$columns[0]} AS of_id, min({$columns[1]}) AS of_name, min(registrar_name) AS registrar, min(account_number) AS number, next_kind,
                CASE WHEN next_at = 'infinity' THEN NULL ELSE next_at::date END AS day, count(*) AS names, min(ascii) AS ascii, (array_agg(unicode ORDER BY ascii))[1] AS unicode,
                sum(sum)::text AS sum, sum((facts->'fee'->>0)::numeric)::text AS fee, min(currency) AS currency, count(DISTINCT currency) AS currencies, min(ends_on) AS ends_on
             FROM standings WHERE next_kind = ANY (?) AND next_at < ?::timestamptz
             GROUP BY 1, next_kind, day ORDER BY day, names DESC LIMIT ?",
            ['{'.implode(',', array_column($kinds, 'value')).'}', $until?->isoSecond() ?? 'infinity', RoundsKind::MOST],
        ));
    }

    /** `tern.works`, or `tern.works and 3 more` */
    public static function title(Row $group): string
    {
        $others = $group->int('names') - 1;

        return $group->text('unicode').($others === 0 ? '' : ' and '.number_format($others).' more');
    }

    /** Null where nothing is written down, or in more than one currency. */
    public static function money(Row $group, string $column): ?Money
    {
        $sum = $group->textOrNull($column);

        return $sum === null || $group->int('currencies') !== 1 ? null : Money::of($sum, $group->text('currency'));
    }

    public static function day(Row $group): Instant
    {
        return Instant::of($group->text('day'));
    }

    /**
     * The button of names that are renewed at their registrar: one name's new end is written down, more of them are looked at.
     *
     * @param  array<string, string|int>  $narrow
     * @return array{string, string} words, in rounds.php, and address
     */
    public static function renewed(Row $group, array $narrow): array
    {
        return $group->int('names') === 1 ? ['rounds.renewed', route('names.edit', $group->text('ascii'))] : ['rounds.see_them', self::address($group, $narrow)];
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
