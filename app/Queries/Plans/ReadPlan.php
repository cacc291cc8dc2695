<?php

declare(strict_types=1);

namespace App\Queries\Plans;

use Acre\Core\Money\Money;
use Acre\Core\Money\Sums;
use Acre\Core\Time\Instant;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Migrations: their names by day, and how far they have come. */
final readonly class ReadPlan
{
    /** Lines that have failed. */
    private const FAILED = "l.state IN ('stopped', 'refused', 'called_off')";

    private const LINES = 'FROM plan_names p LEFT JOIN docket_lines l ON l.docket_id = p.docket_id AND l.name_id = p.name_id
        WHERE p.plan_id = ?';

    public function __construct(private Connection $database, private TradeClock $clock)
    {
    }

    public function progress(int $planId): PlanProgress
    {
        return PlanProgress::of(Row::of($this->database->selectOne(
            'SELECT count(*) FILTER (WHERE p.docket_id IS NULL AND p.day IS NOT NULL) AS left,
                count(*) FILTER (WHERE p.docket_id IS NULL AND p.day <= ?::date) AS due,
                count(*) FILTER (WHERE l.state IN (\'prepared\', \'waiting\', \'begun\')) AS moving,
                count(*) FILTER (WHERE l.state = \'done\') AS done,
                count(*) FILTER (WHERE '.self::FAILED.') AS failed,
                count(*) FILTER (WHERE '.self::FAILED.' AND p.is_pilot) AS pilot_failed,
                count(*) FILTER (WHERE p.docket_id IS NULL AND p.day IS NULL) AS without '.self::LINES,
            [$this->clock->today()->date(), $planId],
        )));
    }

    /** @return list<int> names whose day has come, and that have not gone */
    public function due(int $planId, Instant $today): array
    {
        $rows = $this->database->select(
            'SELECT name_id FROM plan_names WHERE plan_id = ? AND docket_id IS NULL AND day <= ?::date ORDER BY day, name_id',
            [$planId, $today->date()],
        );

        return array_map(fn (Row $row): int => $row->int('name_id'), Row::all($rows));
    }

    /** @return list<int> names that have gone and failed */
    public function failed(int $planId): array
    {
        $rows = $this->database->select('SELECT p.name_id '.self::LINES.' AND '.self::FAILED, [$planId]);

        return array_map(fn (Row $row): int => $row->int('name_id'), Row::all($rows));
    }

    /** @return list<PlanRow> by day, those without one last */
    public function rows(int $planId, int $most): array
    {
        return array_map(PlanRow::of(...), Row::all($this->database->select(
            'SELECT p.name_id, p.day, p.why, p.is_late, p.docket_id, l.state, l.reason, l.after, n.ascii, n.unicode
             FROM plan_names p JOIN names n ON n.id = p.name_id
             LEFT JOIN docket_lines l ON l.docket_id = p.docket_id AND l.name_id = p.name_id
             WHERE p.plan_id = ? ORDER BY p.day NULLS LAST, n.ascii LIMIT ?',
            [$planId, $most],
        )));
    }

    /** @return array<string, int> how many begin on each day */
    public function byDay(int $planId): array
    {
        $days = [];
        foreach (
            Row::all($this->database->select(
                'SELECT day::text AS day, count(*) AS names FROM plan_names WHERE plan_id = ? AND day IS NOT NULL GROUP BY 1 ORDER BY 1',
                [$planId],
            )) as $row
        ) {
            $days[$row->text('day')] = $row->int('names');
        }

        return $days;
    }

    /**
     * What its names' transfers cost with tax, by the price that is in force today.
     *
     * @return array{array<string, Money>, array<string, Money>} of those that have arrived or are on their way, and of those to come
     */
    public function money(int $planId): array
    {
        $spent = $left = [];
        foreach (
            Row::all($this->database->select(
                'SELECT pr.amount, pr.currency, pr.tax_percent, count(*) FILTER (WHERE l.state IN (\'begun\', \'done\')) AS gone,
                    count(*) FILTER (WHERE p.docket_id IS NULL AND p.day IS NOT NULL) AS left
                 FROM plan_names p JOIN plans m ON m.id = p.plan_id JOIN accounts a ON a.id = m.account_id JOIN names n ON n.id = p.name_id
                 JOIN prices pr ON pr.registrar_id = a.registrar_id AND pr.suffix = n.suffix AND pr.action = \'transfer\'
                    AND pr.span @> ?::timestamptz
                 LEFT JOIN docket_lines l ON l.docket_id = p.docket_id AND l.name_id = p.name_id
                 WHERE p.plan_id = ? GROUP BY pr.id',
                [$this->clock->now()->isoSecond(), $planId],
            )) as $row
        ) {
            $price = Money::of($row->text('amount'), $row->text('currency'))->withTax($row->text('tax_percent'));
            $spent[] = $price->times($row->int('gone'));
            $left[] = $price->times($row->int('left'));
        }

        return [Sums::of($spent), Sums::of($left)];
    }
}
