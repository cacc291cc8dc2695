<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/** One row of a list. */
final readonly class ListRow
{
    /**
     * @param  int  $line  the line of the file that it begins on, or its number in a file without lines
     * @param  list<string>  $cells  in UTF-8, blanks around removed
     * @param  list<int>  $numbers  columns whose cell the file itself holds as a number: `9.996`, or `8.4 USD` where its format has a
     *     currency
     */
    public function __construct(public int $line, public array $cells, public array $numbers = [])
    {
    }

    public function cell(int $column): string
    {
        return $this->cells[$column] ?? '';
    }

    public function isNumber(int $column): bool
    {
        return in_array($column, $this->numbers, true);
    }

    public function isBlank(): bool
    {
        return implode('', $this->cells) === '';
    }
}
