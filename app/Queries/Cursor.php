<?php

declare(strict_types=1);

namespace App\Queries;

use App\Support\Row;
use Generator;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;

/** Reads a query of any length row by row in flat memory, from one view of the data. */
final readonly class Cursor
{
    private const FETCH = 1_000;

    public function __construct(private Connection $database)
    {
    }

    /** @return Generator<int, Row> */
    public function rows(Builder $query): Generator
    {
        $this->database->beginTransaction();
        try {
            $this->database->statement('DECLARE taken_away NO SCROLL CURSOR FOR '.$query->toRawSql());
            do {
                $rows = Row::all($this->database->select('FETCH '.self::FETCH.' FROM taken_away'));
                yield from $rows;
            } while (count($rows) === self::FETCH);
        } finally {
            $this->database->rollBack();
        }
    }
}
