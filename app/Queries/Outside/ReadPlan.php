<?php

declare(strict_types=1);

namespace App\Queries\Outside;

use Acre\Core\Record\Pace;
use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;

/** How the looking outside is planned: how many names at which pace, what is behind, and whether hosts take so many questions. */
final readonly class ReadPlan
{
    public function __construct(private Connection $database, private int $aMinute)
    {
    }

    public function handle(Instant $now): Plan
    {
        $names = array_fill_keys(array_column(Pace::cases(), 'value'), 0);
        $aMinute = 0.0;
        foreach (
            Row::all($this->database->select("SELECT pace, count(*) AS names FROM observing WHERE due_at < 'infinity'
                GROUP BY pace")) as $row
        ) {
            $names[$row->text('pace')] = $row->int('names');
            $aMinute += ($row->int('names') * Pace::from($row->text('pace'))->questionsADay()) / 1_440;
        }
        $late = Row::of(
            $this->database->selectOne(
                'SELECT count(*) FILTER (WHERE due_at <= ?) AS due, count(*) FILTER (WHERE failures > 0) AS failing,
                    max(asked_at) AS asked FROM observing',
                [$now->isoSecond()],
            ),
        );
        $troubles = [];
        foreach (
            Row::all(
                $this->database->select(
                    "SELECT t.value->>'reason' AS reason, count(*) AS names FROM observing, jsonb_each(troubles) t WHERE troubles <> '{}'
                        GROUP BY 1 ORDER BY 2 DESC, 1 LIMIT 20",
                ),
            ) as $row
        ) {
            $troubles[$row->textOrNull('reason') ?? ''] = $row->int('names');
        }

        return new Plan($names, $aMinute, $this->aMinute, $late->int('due'), $late->int('failing'), $late->instant('asked'), $troubles);
    }
}
