<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use DateTimeImmutable;
use OpenSpout\Writer\Common\Creator\Style\StyleBuilder;
use OpenSpout\Writer\Common\Creator\WriterEntityFactory;

/** Writes a list row by row; nothing holds the whole of it. */
final class ListWriter
{
    /**
     * @param  list<string>  $headings
     * @param  iterable<list<string>>  $rows  as long as the headings
     * @param  string  $path  a file, or a stream such as php://output; a spreadsheet needs a file
     * @param  list<ColumnKind>  $kinds  of each column, so that dates and numbers of a spreadsheet are such; those that are missing are
     *     text
     *
     * @throws ListError when it can't be written there
     */
    public static function write(ListKind $kind, string $path, array $headings, iterable $rows, array $kinds = []): void
    {
        match ($kind) {
            ListKind::Csv => self::csv($path, $headings, $rows),
            ListKind::Json => self::json($path, $headings, $rows),
            ListKind::Xlsx => self::xlsx($path, $headings, $rows, $kinds),
            ListKind::Ods => OdsWriter::write($path, $headings, $rows, $kinds),
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
            fwrite(
                $handle,
                $before.
                    json_encode(array_combine($headings, $row), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
            );
            $before = ",\n";
        }
        fwrite($handle, ($before === "[\n" ? '[' : '')."\n]\n");
        fclose($handle);
    }

    /**
     * @param  list<string>  $headings
     * @param  iterable<list<string>>  $rows
     * @param  list<ColumnKind>  $kinds
     */
    private static function xlsx(string $path, array $headings, iterable $rows, array $kinds): void
    {
        $writer = WriterEntityFactory::createXLSXWriter();
        $writer->openToFile($path);
        $writer->addRow(WriterEntityFactory::createRowFromArray($headings));
        $date = (new StyleBuilder())->setFormat('yyyy-mm-dd')->build();
        foreach ($rows as $row) {
            $cells = [];
            foreach ($row as $column => $text) {
                $kind = $kinds[$column] ?? ColumnKind::Text;
                $cells[] = match ($kind->fits($text) ? $kind : ColumnKind::Text) {
                    ColumnKind::Date => WriterEntityFactory::createCell(new DateTimeImmutable($text), $date),
                    ColumnKind::Number => WriterEntityFactory::createCell((float) $text),
                    ColumnKind::Text => WriterEntityFactory::createCell(Cell::guard($text)),
                };
            }
            $writer->addRow(WriterEntityFactory::createRow($cells));
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
