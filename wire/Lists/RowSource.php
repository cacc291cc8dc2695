<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use Generator;

/** The rows of a file, whatever its format; which of them is the headings is decided above it. */
interface RowSource
{
    /**
     * The rows that are not blank. Nothing holds the whole file.
     *
     * @return Generator<int, ListRow>
     *
     * @throws ListError when the file can't be read on
     */
    public function rows(): Generator;

    /** Whether the format itself says what each column is called: then the first row is the headings. */
    public function namesColumns(): bool;

    /** @return list<string> the sheets that have rows, in their order; none where the format has no sheets */
    public function sheets(): array;

    /** The sheet that is read; empty where there are none. */
    public function sheet(): string;
}
