<?php

declare(strict_types=1);

namespace App\Queries\Roll;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Core\Standing\NextKind;
use Acre\Core\Time\Instant;
use App\Queries\Keyset;
use App\Queries\Rounds\Sums;
use App\Queries\Rounds\SumsDue;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;

/** A page of the Roll by keyset from the flat table: two queries, whatever the Roll's size. */
final readonly class ReadRoll
{
    public const COUNTED = 10_000;

    /** What so many names cost together is told; of more nobody asks. */
    private const SUMMED = 2_000;

    /** From so many letters on a part is looked for anywhere; below, only at the beginning. */
    private const LETTERS = 3;

    private const SHOWN = [
        'name_id',
        'ascii',
        'unicode',
        'client_name',
        'registrar_name',
        'account_number',
        'phase',
        'intent',
        'lock',
        'registrant',
        'mailbox',
        'reference',
        'disclosure',
        'servers',
        'marks',
        'suffix',
        'created_on',
        'ends_on',
        'later',
        'next_at',
        'next_kind',
        'sum',
        'currency',
        'severity',
        'facts',
        'verify_by',
    ];

    public function __construct(private Connection $database)
    {
    }

    public function page(RollFilter $filter, Instant $today, int $size): RollPage
    {
        $found = $this->names($filter, $today);
        [$counted, $watched, $sums] = $this->counted(clone $found, $filter->isNarrowed());
        $column = $filter->sort->column();
        // Few that no index keeps in order are gathered first, by what orders them alone: walking the order until fifty are met could take
        // the whole Roll.
        $isGathered = $counted <= self::COUNTED && $filter->isScattered();
        $order = $filter->sort->order();
        $query = $isGathered ? $this->database->query()->fromSub($found->select($order)->offset(0), 'found') : $found->select(self::SHOWN);
        self::inOrder($query, $order)->limit($size + 1);
        $place = $this->place($filter);
        if ($place !== null) {
            $query->whereRaw(
                '('.implode(', ', $order).') > ('.(count($place) === 3 ? '?::boolean, ' : '')."?::{$filter->sort->type()}, ?)",
                $place,
            );
        }
        if ($isGathered) {
            $query = self::inOrder(
                $this->database
                    ->query()
                    ->fromSub($query->select('name_id'), 'page')
                    ->join('standings', 'standings.name_id', '=', 'page.name_id')
                    ->select(array_map(fn (string $shown): string => "standings.{$shown}", self::SHOWN)),
                array_map(fn (string $by): string => "standings.{$by}", $order),
            );
        }
        $rows = Row::all($query->get());
        $more = count($rows) > $size;
        $rows = array_slice($rows, 0, $size);
        $last = $rows === [] ? null : $rows[count($rows) - 1];

        return new RollPage(
            $rows,
            min($counted, self::COUNTED),
            $watched,
            $counted > self::COUNTED,
            $sums,
            $more && $last !== null
                ? ($filter->sort === Sort::Next ? (int) $last->bool('later').'~' : '').
                    $last->text($column).
                    '~'.
                    $last->int('name_id')
                : null,
        );
    }

    /**
     * How many there are, up to one more than is counted; how many of these are only watched; and, where there are no more, what the
     * next renewals of them cost.
     *
     * @param  bool  $isSummed  the whole Roll is counted from an index alone, and not summed
     * @return array{int, int|null, Sums|null}
     */
    private function counted(Builder $found, bool $isSummed): array
    {
        if (! $isSummed) {
            $watched = $this->database
                ->table('standings')
                ->selectRaw('1')
                ->where('next_kind', NextKind::Watched->value)
                ->limit(self::COUNTED + 1);
            $row = Row::of(
                $this->database
                    ->query()
                    ->selectSub(
                        $this->database
                            ->query()
                            ->fromSub($found->selectRaw('1')->limit(self::COUNTED + 1), 'counted')
                            ->selectRaw('count(*)'),
                        'counted',
                    )
                    ->selectSub($this->database->query()->fromSub($watched, 'w')->selectRaw('count(*)'), 'watched')
                    ->first(),
            );

            return [$row->int('counted'), $row->int('watched') > self::COUNTED ? null : $row->int('watched'), null];
        }
        // Counted from an index alone; the sums need the rows themselves, and are made of so many.
        $watched = (clone $found)->where('next_kind', NextKind::Watched->value);
        $count = fn (Builder $names): Builder => $this->database
            ->query()
            ->fromSub($names->selectRaw('1')->limit(self::COUNTED + 1), 'counted')
            ->selectRaw('count(*)');
        $counts = $this->database->query()->selectSub($count(clone $found), 'counted')->selectSub($count($watched), 'watched');
        $sums = $found
            ->selectRaw(
                'currency, sum(sum)::text AS sum, count(*) AS counted, count(*) FILTER (WHERE next_kind = ANY (?)) AS names',
                [SumsDue::kinds()],
            )
            ->groupBy('currency')
            ->orderByRaw('3 DESC, 1 DESC');
        $row = Row::of(
            $this->database
                ->query()
                ->fromSub($counts, 'counts')
                ->select(['counted', 'watched'])
                ->selectRaw("CASE WHEN counted <= ? THEN (SELECT json_agg(s) FROM ({$sums->toSql()}) s) END AS sums", [
                    self::SUMMED,
                    ...$sums->getBindings(),
                ])
                ->first(),
        );
        [$counted, $watched] = [$row->int('counted'), $row->int('watched')];
        $sums = $row->textOrNull('sums') === null ? [] : array_values($row->json('sums'));
        $rows = array_map(fn (mixed $one): Row => Row::of((object) $one), $sums);

        return [
            $counted,
            $counted > self::COUNTED ? null : $watched,
            $counted > self::SUMMED ? null : SumsDue::of($rows),
        ];
    }

    /** @param  list<string>  $columns */
    public static function inOrder(Builder $query, array $columns): Builder
    {
        foreach ($columns as $column) {
            $query->orderBy($column);
        }

        return $query;
    }

    /** The standings that the sentence is about, in no order. */
    public function names(RollFilter $filter, Instant $today): Builder
    {
        $query = $this->database->table('standings');
        foreach (
            ['client_id' => $filter->client, 'registrar_id' => $filter->registrar, 'account_id' => $filter->account] as $column => $id
        ) {
            if ($id !== null) {
                $query->where($column, $id);
            }
        }
        foreach ($filter->facets as $word => $value) {
            Facet::from($word)->narrow($query, $value);
        }
        $this->text($query, $filter->text);
        $days = $filter->ending->days();
        if ($days !== null) {
            $query->where('ends_on', '>=', $today->isoSecond())->where('ends_on', '<=', $today->plusDays($days)->isoSecond());
        }
        if ($filter->ending === Ending::Late) {
            $query->where('ends_on', '<=', $today->isoSecond());
        }
        $filter->endsIn?->narrow($query, 'ends_on');

        return $query;
    }

    private function text(Builder $query, string $text): void
    {
        if ($text === '') {
            return;
        }
        $needle = $this->needle($text);
        if (mb_strlen($needle) >= self::LETTERS) {
            $query->where('sought', 'like', '%'.addcslashes($needle, '%_\\').'%');

            return;
        }
        $beyond = $needle."\u{10FFFF}";
        $query->where(
            fn (Builder $either) => $either
                ->whereBetween('ascii', [$needle, $beyond])
                ->orWhere(fn (Builder $idn) => $idn->whereRaw('unicode <> ascii')->whereBetween('unicode', [$needle, $beyond])),
        );
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

    /** @return array{string, int}|array{string, string, int}|null as the order has it */
    private function place(RollFilter $filter): ?array
    {
        if ($filter->after === null) {
            $start = $filter->from === '' ? null : $filter->sort->start($filter->from);

            return $start === null ? null : ($filter->sort === Sort::Next ? ['true', $start, 0] : [$start, 0]);
        }
        if (
            preg_match(
                $filter->sort === Sort::Next ? '/^([01])~(.{1,260})~(\d{1,18})$/sD' : '/^()(.{1,260})~(\d{1,18})$/sD',
                $filter->after,
                $part,
            ) !== 1
        ) {
            return null;
        }
        $value = $filter->sort === Sort::Name ? $part[2] : Keyset::instant($part[2]);

        return $value === null ? null : ($part[1] === '' ? [$value, (int) $part[3]] : [$part[1], $value, (int) $part[3]]);
    }
}
