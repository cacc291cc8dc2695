<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use OpenSpout\Writer\Common\Creator\WriterEntityFactory;

/** Writes a list row by row; nothing holds the whole of it. */
final class ListWriter
{
    /**
     * @param  list<string>  $headings
     * @param  iterable<list<string>>  $rows  as long as the headings
     * @param  string  $path  a file, or a stream such as php://output; a spreadsheet needs a file
     *
     * @throws ListError when it can't be written there
     */
    public static function write(ListKind $kind, string $path, array $headings, iterable $rows): void
    {
        match ($kind) {
            ListKind::Csv => self::csv($path, $headings, $rows),
            ListKind::Json => self::json($path, $headings, $rows),
            ListKind::Xlsx, ListKind::Ods => self::sheet($kind, $path, $headings, $rows),
        };
    }

    /**
     * RFC 4180, in UTF-8 with a byte order mark: without one, spreadsheets take it for Latin-1.
     *
     * @param  list<string>  $headings
     * @param  iterable<list<string>>  $rows
     */
    private static function csv(string $path, array $headings, iterable $rows): void
    {
        $handle = self::open($path);
        fwrite($handle, "\xEF\xBB\xBF");
        fwrite($handle, Cell::line($headings));
        foreach ($rows as $row) {
            fwrite($handle, Cell::line(array_map(Cell::guard(...), $row)));
        }
        fclose($handle);
    }

    /**
     * A list of objects. Values are as they are: nothing takes JSON for formulas.
     *
     * @param  list<string>  $headings
     * @param  iterable<list<string>>  $rows
     */
    private static function json(string $path, array $headings, iterable $rows): void
    {
        $handle = self::open($path);
        $before = "[\n";
        foreach ($rows as $row) {
            fwrite($handle, $before.json_encode(array_combine($headings, $row), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
            $before = ",\n";
        }
        fwrite($handle, ($before === "[\n" ? '[' : '')."\n]\n");
        fclose($handle);
    }

    /**
     * @param  list<string>  $headings
     * @param  iterable<list<string>>  $rows
     */
    private static function sheet(ListKind $kind, string $path, array $headings, iterable $rows): void
    {
        $writer = $kind === ListKind::Xlsx ? WriterEntityFactory::createXLSXWriter() : WriterEntityFactory::createODSWriter();
        $writer->openToFile($path);
        $writer->addRow(WriterEntityFactory::createRowFromArray($headings));
        foreach ($rows as $row) {
            $writer->addRow(WriterEntityFactory::createRowFromArray(array_map(Cell::guard(...), $row)));
        }
        $writer->close();
    }

    /** @return resource */
    private static function open(string $path)
    {
        $handle = fopen($path, 'wb');

        return $handle === false ? throw ListError::unreadable(basename($path)) : $handle;
    }
}
