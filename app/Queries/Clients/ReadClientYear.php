<?php

declare(strict_types=1);

namespace App\Queries\Clients;

use Acre\Core\Delegation\DelegationFinding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Money\Money;
use Acre\Core\Money\Sums;
use Acre\Core\Renewal\LetGo;
use Acre\Core\Time\Instant;
use App\Actions\Servers\ZoneCopies;
use App\Models\Client;
use App\Support\Row;
use Illuminate\Database\Connection;

/** A client's names with what each has cost in a year, what it will cost in the next, and what speaks for letting it go. */
final readonly class ReadClientYear
{
    /** Names of the sheet. */
    public const MOST = 500;

    public function __construct(
        private Connection $database,
        private ClientSheet $sheet,
        private ReadLaidOut $laidOut,
        private ZoneCopies $zones,
    ) {
    }

    /** @return list<YearOfName> soonest end first */
    public function of(Client $client, Instant $today): array
    {
        $rows = array_slice($this->sheet->names($client->id), 0, self::MOST);
        $ids = array_map(fn (Row $row): int => $row->int('name_id'), $rows);
        $spent = $this->spent($client, $today);
        $zones = $ids === [] ? [] : $this->zones->newest($ids);
        $silent = $this->silent($ids);
        $targets = $this->targets($ids);
        $usual = self::usual($rows);
        $rule = ReadLaidOut::rule($client);
        $yearAhead = $today->plusYears(1);

        return array_map(function (Row $row) use ($spent, $zones, $silent, $targets, $usual, $rule, $yearAhead): YearOfName {
            $id = $row->int('name_id');
            $ends = $row->instant('ends_on');
            $intent = Intent::from($row->text('intent'));
            $yearly = self::yearly($row);
            $isDue = $ends?->isBefore($yearAhead) === true;

            return new YearOfName(
                $row->text('ascii'),
                $row->text('unicode'),
                $ends,
                $intent,
                array_values($spent[$row->text('unicode')] ?? []),
                ! $isDue || $intent === Intent::Lapse || $yearly === null ? null : $yearly->plus($rule->on($yearly)),
                $isDue,
                (new LetGo(
                    $intent,
                    $ends,
                    $zones[$id] ?? null,
                    isset($silent[$id]),
                    $targets[$id] ?? null,
                    $yearly,
                    $usual[$yearly->currency ?? ''] ?? null,
                ))->reasons(),
            );
        }, $rows);
    }

    /** @return array<string, array<string, Money>> by name and currency */
    private function spent(Client $client, Instant $today): array
    {
        $all = [];
        foreach ($this->laidOut->of($client, $today->plusYears(-1)->plusDays(1), $today) as $line) {
            $all[$line->name][] = $line->total();
        }

        return array_map(Sums::of(...), $all);
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, true> names for which no server answers
     */
    private function silent(array $ids): array
    {
        return array_fill_keys(
            array_map(
                fn (Row $row): int => $row->int('name_id'),
                Row::all($this->database->select(
                    'SELECT name_id FROM pointing_faults WHERE name_id = ANY (?::bigint[]) AND finding = ?',
                    ['{'.implode(',', $ids).'}', DelegationFinding::NotDelegated->value],
                )),
            ),
            true,
        );
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, string> where visitors of names are only sent on to, whatever they ask for
     */
    private function targets(array $ids): array
    {
        $targets = [];
        foreach (
            Row::all($this->database->select(
                'SELECT name_id, min(target) AS target FROM sites WHERE name_id = ANY (?::bigint[])
                    GROUP BY name_id HAVING bool_and(target IS NOT NULL)',
                ['{'.implode(',', $ids).'}'],
            )) as $row
        ) {
            $targets[$row->int('name_id')] = $row->text('target');
        }

        return $targets;
    }

    /**
     * @param  list<Row>  $rows
     * @return array<string, Money> what lies in the middle, by currency
     */
    private static function usual(array $rows): array
    {
        $all = [];
        foreach ($rows as $row) {
            $yearly = self::yearly($row);
            if ($yearly !== null) {
                $all[$yearly->currency][] = $yearly;
            }
        }

        return array_map(function (array $sums): Money {
            usort($sums, fn (Money $one, Money $other): int => $one->compare($other));

            return $sums[intdiv(count($sums) - 1, 2)];
        }, $all);
    }

    private static function yearly(Row $row): ?Money
    {
        return $row->textOrNull('year') === null ? null : Money::of($row->text('year'), $row->text('year_currency'));
    }
}
