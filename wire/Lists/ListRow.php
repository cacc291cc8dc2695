<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/** One line of a list. */
final readonly class ListRow
{
    /**
     * @param  int  $line  the line of the file that it begins on, the headings being line 1
     * @param  list<string>  $cells  in UTF-8, blanks around removed
     */
    public function __construct(public int $line, public array $cells)
    {
    }

    public function cell(int $column): string
    {
        return $this->cells[$column] ?? '';
    }

    public function isBlank(): bool
    {
        return implode('', $this->cells) === '';
    }
}
