<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/** What a person said about a file, where the file doesn't say it itself. */
final readonly class ListOptions
{
    /**
     * @param  string|null  $sheet  which sheet of a spreadsheet; null: the first that has rows
     * @param  bool|null  $hasHeadings  whether its first row is headings; null: what the row looks like
     * @param  Encoding|null  $encoding  of a text file; null: what its bytes look like
     */
    public function __construct(public ?string $sheet = null, public ?bool $hasHeadings = null, public ?Encoding $encoding = null)
    {
    }
}
