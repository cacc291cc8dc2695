<?php

declare(strict_types=1);

namespace App\Queries\Roll;

use Acre\Core\Standing\NextKind;
use Acre\Core\Time\Instant;
use Acre\Wire\Lists\ColumnKind;
use App\Queries\Cursor;
use App\Support\Row;
use App\View\Words;
use Generator;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\JoinClause;

/** What the sentence shows, row by row, as it is taken away: bringing the list back in, unchanged, changes nothing. */
final readonly class ExportRoll
{
    /** In the words that our own lists are read by. */
    public const HEADINGS = [
        'Name',
        'Unicode',
        'Suffix',
        'Client',
        'Registrar',
        'Account',
        'Registrant',
        'Mailbox',
        'Created',
        'Ends',
        'Moved',
        'Status',
        'Lock',
        'Intent',
        'Public record',
        'Name servers',
        'Renewal price',
        'Price currency',
        'Reference',
        'Words',
        'Phase',
        'Next',
        'Next on',
        'Year costs',
        'Year currency',
    ];

    private const DATES = ['Created', 'Ends', 'Moved', 'Next on'];

    private const NUMBERS = ['Renewal price', 'Year costs'];

    public function __construct(private Connection $database, private ReadRoll $roll, private Words $words, private Cursor $cursor)
    {
    }

    /** @return list<ColumnKind> as long as HEADINGS */
    public static function kinds(): array
    {
        return array_map(
            fn (string $heading): ColumnKind => match (true) {
                in_array($heading, self::DATES, true) => ColumnKind::Date,
                in_array($heading, self::NUMBERS, true) => ColumnKind::Number,
                default => ColumnKind::Text,
            },
            self::HEADINGS,
        );
    }

    /** @return Generator<int, list<string>> as long as HEADINGS */
    public function rows(RollFilter $filter, Instant $today): Generator
    {
        foreach ($this->fetch($filter, $today) as $row) {
            $day = fn (string $column): string => $row->instant($column)?->date() ?? '';
            $list = fn (string $column, string $between): string => implode($between, array_filter($row->json($column), is_string(...)));
            $word = fn (string $column): string => $row->text($column) === 'unknown'
                ? ''
                : $this->words->say("words.{$column}.".$row->text($column));
            yield [
                $row->text('ascii'),
                $row->text('unicode'),
                $row->text('suffix'),
                $row->text('client_name'),
                $row->text('registrar_name'),
                $row->text('account_number'),
                $row->text('registrant'),
                $row->text('mailbox'),
                $day('created_on'),
                $day('ends_on'),
                $day('moved_on'),
                $list('statuses', ', '),
                $word('lock'),
                $word('intent'),
                $word('disclosure'),
                $list('servers', ' '),
                $row->textOrNull('own_renewal') ?? '',
                $row->textOrNull('own_currency') ?? '',
                $row->text('reference'),
                $list('labels', ', '),
                $this->words->say('words.phase.'.$row->text('phase')).
                (self::isWatched($row) ? ', '.$this->words->say('roll.only_watched') : ''),
                $this->words->next($row)[0],
                $day('next_at'),
                $row->textOrNull('year') ?? '',
                $row->textOrNull('year_currency') ?? '',
            ];
        }
    }

    private static function isWatched(Row $row): bool
    {
        return $row->text('next_kind') === NextKind::Watched->value;
    }

    /** @return Generator<int, Row> in the order of the sentence */
    private function fetch(RollFilter $filter, Instant $today): Generator
    {
        $query = $this->database
            ->query()
            ->fromSub($this->roll->names($filter, $today)->select('*'), 's')
            ->leftJoin(
                'registrations as r',
                fn (JoinClause $join) => $join->on('r.name_id', '=', 's.name_id')->whereRaw('upper_inf(r.span)'),
            )
            ->leftJoin('watchings as w', 'w.name_id', '=', 's.name_id')
            ->select([
                's.ascii',
                's.unicode',
                's.suffix',
                's.client_name',
                's.registrar_name',
                's.account_number',
                's.registrant',
                's.mailbox',
                's.reference',
                's.phase',
                's.next_at',
                's.next_kind',
                's.sum',
                's.currency',
            ])
            ->addSelect(['r.own_renewal', 'r.own_currency'])
            // Of a watched name only what its registry said is known.
            ->selectRaw(
                implode(
                    ', ',
                    array_map(fn (string $column): string => "coalesce(r.{$column}, w.{$column}) AS {$column}", [
                        'created_on',
                        'ends_on',
                        'moved_on',
                        'statuses',
                        'servers',
                    ]),
                ),
            )
            ->selectRaw(
                implode(
                    ', ',
                    array_map(fn (string $column): string => "coalesce(r.{$column}, 'unknown') AS {$column}", [
                        'lock',
                        'intent',
                        'disclosure',
                    ]),
                ),
            )
            ->selectRaw("s.facts->'renew'->>0 AS year, s.facts->'renew'->>1 AS year_currency")
            ->selectRaw(
                "(SELECT coalesce(json_agg(w.label ORDER BY lower(w.label)), '[]') FROM name_words x JOIN words w ON w.id = x.word_id
                    WHERE x.name_id = s.name_id) AS labels",
            )
            ->orderBy('s.'.$filter->sort->column())
            ->orderBy('s.name_id');

        return $this->cursor->rows($query);
    }
}
