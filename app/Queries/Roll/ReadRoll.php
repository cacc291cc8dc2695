<?php

declare(strict_types=1);

namespace App\Queries\Roll;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;

/** A page of the Roll by keyset from the flat table: two queries, whatever the Roll's size. */
final readonly class ReadRoll
{
    public const COUNTED = 10_000;

    public function __construct(private Connection $database)
    {
    }

    public function page(RollFilter $filter, Instant $today, int $size): RollPage
    {
        $column = $filter->sort->column();
        $query = $this->filtered($filter, $today)
            ->orderBy($column)->orderBy('name_id')->limit($size + 1);
        $place = $this->place($filter);
        if ($place !== null) {
            $cast = $filter->sort === Sort::Name ? 'text' : 'timestamptz';
            $query->whereRaw("({$column}, name_id) > (?::{$cast}, ?)", $place);
        }
        $rows = Row::all($query->get());
        $more = count($rows) > $size;
        $rows = array_slice($rows, 0, $size);
        $counted = $this->database->query()->fromSub($this->filtered($filter, $today)->selectRaw('1')->limit(self::COUNTED + 1), 'counted')->count();
        $last = $rows === [] ? null : $rows[count($rows) - 1];

        return new RollPage(
            $rows, min($counted, self::COUNTED), $counted > self::COUNTED,
            $more && $last !== null ? $last->text($column).'~'.$last->int('name_id') : null,
        );
    }

    private function filtered(RollFilter $filter, Instant $today): Builder
    {
        $query = $this->database->table('standings')
            ->when($filter->client !== null, fn (Builder $query) => $query->where('client_id', $filter->client))
            ->when($filter->registrar !== null, fn (Builder $query) => $query->where('registrar_id', $filter->registrar))
            ->when($filter->account !== null, fn (Builder $query) => $query->where('account_id', $filter->account));
        if ($filter->text !== '') {
            $query->whereRaw(
                "lower(ascii || ' ' || unicode || ' ' || client_name || ' ' || account_number || ' ' || registrant) LIKE ?",
                ['%'.addcslashes($this->needle($filter->text), '%_\\').'%'],
            );
        }
        $days = $filter->ending->days();
        if ($days !== null) {
            $query->where('ends_on', '>=', $today->isoSecond())->where('ends_on', '<=', $today->plusDays($days)->isoSecond());
        }
        if ($filter->ending === Ending::Late) {
            $query->where('ends_on', '<=', $today->isoSecond());
        }

        return $query;
    }

    /** What was typed, or the name in it when a web address was pasted. */
    private function needle(string $text): string
    {
        try {
            return str_contains($text, '.') ? DomainName::of($text)->unicode : mb_strtolower($text);
        } catch (NameError) {
            return mb_strtolower($text);
        }
    }

    /** @return array{string, int}|null */
    private function place(RollFilter $filter): ?array
    {
        if ($filter->after === null || preg_match('/^(.{1,260})~(\d{1,18})$/sD', $filter->after, $part) !== 1) {
            return null;
        }
        $isInstant = preg_match('/^(-?infinity|\d{4}-\d\d-\d\d \d\d:\d\d:\d\d(\.\d+)?[+-]\d\d(:\d\d)?)$/D', $part[1]) === 1;

        return $filter->sort === Sort::Name || $isInstant ? [$part[1], (int) $part[2]] : null;
    }
}
