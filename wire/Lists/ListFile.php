<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use Generator;

/** A list of names as a file: headings, where it has any, and rows. */
final readonly class ListFile
{
    /** A host name, alone in its cell: no heading looks like one, but for abbreviations such as `Exp.date`. */
    private const HOST = '~^["\'(<\[]*(?:https?://)?(?:[\p{L}\p{N}][\p{L}\p{N}-]*[.。])+[\p{L}][\p{L}\p{N}-]+[/.>)\]"\']*$~u';

    /** @param  list<string>  $headings  empty texts where the file has none */
    private function __construct(private RowSource $source, public array $headings, public bool $hasHeadings)
    {
    }

    /** @throws ListError when there is nothing to read */
    public static function of(RowSource $source, ?bool $hasHeadings = null): self
    {
        $rows = [];
        foreach ($source->rows() as $row) {
            $rows[] = $row;
            if (count($rows) === 2) {
                break;
            }
        }
        if ($rows === []) {
            throw ListError::empty();
        }
        $hasHeadings = $source->namesColumns() || ($hasHeadings ?? ! self::isData($rows[0], $rows[1] ?? null));
        if ($hasHeadings && count($rows) === 1) {
            throw ListError::noRows();
        }

        return new self($source, $hasHeadings ? $rows[0]->cells : array_fill(0, count($rows[0]->cells), ''), $hasHeadings);
    }

    /** @return Generator<int, ListRow> those that are not headings */
    public function rows(): Generator
    {
        $skip = $this->hasHeadings;
        foreach ($this->source->rows() as $row) {
            if (! $skip) {
                yield $row;
            }
            $skip = false;
        }
    }

    /** Whether a format of its own says what the columns are. */
    public function namesColumns(): bool
    {
        return $this->source->namesColumns();
    }

    /** @return list<string> */
    public function sheets(): array
    {
        return $this->source->sheets();
    }

    public function sheet(): string
    {
        return $this->source->sheet();
    }

    /** A first row is data where a cell of it is a host name and the cell below is one too, or there is none. */
    private static function isData(ListRow $first, ?ListRow $second): bool
    {
        foreach ($first->cells as $column => $cell) {
            if (preg_match(self::HOST, $cell) === 1 && ($second === null || preg_match(self::HOST, $second->cell($column)) === 1)) {
                return true;
            }
        }

        return false;
    }
}
