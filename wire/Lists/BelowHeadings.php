<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use Generator;

/** The first row that is not blank is the headings; the list is what stands below. */
trait BelowHeadings
{
    /** @return list<string> */
    public function headings(): array
    {
        return $this->headings;
    }

    /** @return Generator<int, ListRow> */
    public function rows(): Generator
    {
        $first = true;
        foreach ($this->all() as $row) {
            if (! $first) {
                yield $row;
            }
            $first = false;
        }
    }

    /** @return Generator<int, ListRow> rows that are not blank, the headings first */
    abstract private function all(): Generator;
}
