<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

use Acre\Core\Money\Money;
use Acre\Core\Standing\NextKind;
use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What keeping names costs, by currency, and how many of them have no price recorded. */
final readonly class SumsDue
{
    private const KINDS = [
        NextKind::Charge,
        NextKind::ChargeUnconfirmed,
        NextKind::Ends,
        NextKind::AskClient,
        NextKind::AskedTooLate,
        NextKind::LatePlain,
        NextKind::LateDear,
        NextKind::Suspended,
        NextKind::Redemption,
    ];

    public function __construct(private Connection $database)
    {
    }

    /** Of the names that fall due before an instant, or are late already. */
    public function until(Instant $until): Sums
    {
        return self::of(
            Row::all(
                $this->database->select(
                    // Apart, each by its own index: together they would be looked for among all names.
                    'SELECT currency, sum(sum)::text AS sum, count(*) AS names FROM (
                SELECT currency, sum FROM standings WHERE next_kind = ANY (?) AND next_at < ?::timestamptz AND later
                UNION ALL SELECT currency, sum FROM standings WHERE NOT later AND next_kind = ANY (?)) s
             GROUP BY 1 ORDER BY 3 DESC, 1 DESC',
                    [self::kinds(), $until->isoSecond(), self::kinds()],
                ),
            ),
        );
    }

    /** @return string as PostgreSQL writes a list: the kinds of next things that cost something */
    public static function kinds(): string
    {
        return '{'.implode(',', array_column(self::KINDS, 'value')).'}';
    }

    /** @param  list<Row>  $rows  currency, sum, names */
    public static function of(array $rows): Sums
    {
        $sums = [];
        $unpriced = 0;
        foreach ($rows as $row) {
            $sum = $row->textOrNull('sum');
            if ($sum === null) {
                $unpriced += $row->int('names');
            } else {
                $sums[] = Money::of($sum, $row->text('currency'));
            }
        }

        return new Sums($sums, $unpriced);
    }
}
