<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use Generator;

/** A list of names as a file: a line of headings, and rows below it. */
interface ListFile
{
    /** @return list<string> */
    public function headings(): array;

    /**
     * The rows below the headings; blank ones are passed over. Nothing holds the whole file.
     *
     * @return Generator<int, ListRow>
     *
     * @throws ListError when the file is not to be borne
     */
    public function rows(): Generator;
}
