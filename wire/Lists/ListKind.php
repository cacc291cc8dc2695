<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/** In which form a list is taken away. */
enum ListKind: string
{
    case Csv = 'csv';
    case Xlsx = 'xlsx';
    case Ods = 'ods';
    case Json = 'json';

    public function mime(): string
    {
        return match ($this) {
            self::Csv => 'text/csv; charset=UTF-8',
            self::Xlsx => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
            self::Ods => 'application/vnd.oasis.opendocument.spreadsheet',
            self::Json => 'application/json',
        };
    }
}
