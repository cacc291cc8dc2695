<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/** What stands in a column that is written; a cell of it that is something else is written as text. */
enum ColumnKind
{
    case Text;
    /** `2026-10-06` */
    case Date;
    /** `12.50` */
    case Number;

    public function fits(string $cell): bool
    {
        return match ($this) {
            self::Text => false,
            self::Date => preg_match('/^(?:19|2\d)\d\d-\d\d-\d\d$/D', $cell) === 1,
            self::Number => preg_match('/^-?\d{1,12}(?:\.\d{1,4})?$/D', $cell) === 1,
        };
    }
}
