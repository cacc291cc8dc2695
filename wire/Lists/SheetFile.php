<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use Acre\Wire\Xml\XmlPrologue;
use DateTimeInterface;
use Error;
use ErrorException;
use Generator;
use OpenSpout\Common\Entity\Row;
use OpenSpout\Common\Exception\SpoutException;
use OpenSpout\Reader\Common\Creator\ReaderEntityFactory;
use OpenSpout\Reader\ReaderInterface;
use ZipArchive;

/**
 * A spreadsheet's first sheet that has rows: XLSX (ECMA-376) or ODS (OASIS OpenDocument 1.3).
 *
 * The archive is judged before anything is unpacked; a document type, which could carry entities, is refused.
 */
final readonly class SheetFile implements ListFile
{
    use BelowHeadings;

    private const FILES = 2_000;

    /** Bytes unpacked, all files together: a million rows of a list of names stay below. */
    private const UNPACKED = 629_145_600;

    /** How many times smaller an archive may be than what is in it. XML of a sheet packs ten- to fortyfold. */
    private const RATIO = 150;

    /** Bytes from which the ratio says anything. */
    private const SMALL = 4_194_304;

    private const PROLOGUE = 65_536;

    /** So many blank rows and the list is over: formats reach down to the last row that a sheet can have. */
    private const BLANKS = 10_000;

    /** @param  list<string>  $headings */
    private function __construct(private string $path, private bool $isOds, private array $headings)
    {
    }

    /** @throws ListError when it is no spreadsheet, or one that must not be unpacked */
    public static function open(string $path): self
    {
        $file = new self($path, self::judge($path), []);
        $headings = null;
        foreach ($file->all() as $row) {
            if ($headings !== null) {
                return new self($path, $file->isOds, $headings);
            }
            $headings = $row->cells;
        }
        throw $headings === null ? ListError::empty() : ListError::noRows();
    }

    /** @return bool whether it is ODS */
    private static function judge(string $path): bool
    {
        $archive = new ZipArchive;
        if ($archive->open($path, ZipArchive::RDONLY) !== true) {
            throw ListError::notText('a broken archive');
        }
        try {
            if ($archive->numFiles > self::FILES) {
                throw ListError::bomb();
            }
            $unpacked = $packed = 0;
            for ($index = 0; $index < $archive->numFiles; $index++) {
                $entry = $archive->statIndex($index);
                if ($entry === false) {
                    throw ListError::notText('a broken archive');
                }
                $unpacked += $entry['size'];
                $packed += $entry['comp_size'];
                $start = (string) $archive->getFromIndex($index, self::PROLOGUE);
                // By what it is, and not only by what it is called: a sheet may stand in a part of any name.
                if ((preg_match('/\.(xml|rels)$/i', $entry['name']) === 1 ? trim($start) !== '' : XmlPrologue::isXml($start)) && ! XmlPrologue::isPlain($start)) {
                    throw ListError::documentType();
                }
            }
            if ($unpacked > self::UNPACKED || ($unpacked > self::SMALL && $unpacked > self::RATIO * max(1, $packed))) {
                throw ListError::bomb();
            }
            if ($archive->locateName('xl/workbook.xml') !== false) {
                return false;
            }
            if (trim((string) $archive->getFromName('mimetype', 200)) === 'application/vnd.oasis.opendocument.spreadsheet') {
                return true;
            }
            throw ListError::notText('an archive, and no spreadsheet that is known here');
        } finally {
            $archive->close();
        }
    }

    /** @return Generator<int, ListRow> */
    private function all(): Generator
    {
        try {
            $reader = $this->reader();
            $reader->open($this->path);
            try {
                foreach ($reader->getSheetIterator() as $sheet) {
                    $any = false;
                    $blanks = 0;
                    foreach ($sheet?->getRowIterator() ?? [] as $line => $row) {
                        $line = is_int($line) ? $line : 0;
                        $read = new ListRow($line, $row instanceof Row ? $this->cells($row->toArray(), $line) : []);
                        $blanks = $read->isBlank() ? $blanks + 1 : 0;
                        if ($blanks > self::BLANKS) {
                            break;
                        }
                        if ($blanks === 0) {
                            $any = true;
                            yield $read;
                        }
                    }
                    if ($any) {
                        return;
                    }
                }
            } finally {
                $reader->close();
            }
        } catch (SpoutException|ErrorException|Error) {
            // The library takes for granted that what it looks for is there.
            throw ListError::notText('a spreadsheet that is broken, or has a cell of many megabytes');
        }
    }

    private function reader(): ReaderInterface
    {
        if ($this->isOds) {
            $ods = ReaderEntityFactory::createODSReader();
            $ods->setShouldFormatDates(false);
            $ods->setShouldPreserveEmptyRows(true);

            return $ods;
        }
        $xlsx = ReaderEntityFactory::createXLSXReader();
        $xlsx->setShouldFormatDates(false);
        $xlsx->setShouldPreserveEmptyRows(true);

        return $xlsx;
    }

    /**
     * @param  array<array-key, mixed>  $cells
     * @return list<string>
     */
    private function cells(array $cells, int $line): array
    {
        if (count($cells) > Lists::COLUMN_LIMIT) {
            // Formats reach far to the right of the last value; they are no columns.
            $cells = array_slice($cells, 0, Lists::COLUMN_LIMIT + 1);
            if (self::text($cells[Lists::COLUMN_LIMIT] ?? '') !== '') {
                throw ListError::tooManyColumns($line, Lists::COLUMN_LIMIT);
            }
            array_pop($cells);
        }

        return array_map(function (mixed $cell) use ($line): string {
            $text = self::text($cell);
            if (strlen($text) > Lists::LINE_LIMIT) {
                throw ListError::longLine($line, Lists::LINE_LIMIT);
            }

            return Lists::clean($text);
        }, array_values($cells));
    }

    private static function text(mixed $cell): string
    {
        return match (true) {
            is_string($cell) => $cell,
            is_bool($cell) => $cell ? 'yes' : 'no',
            is_int($cell) => (string) $cell,
            // As it was typed: 12.5 and not 12.500000000001.
            is_float($cell) => rtrim(rtrim(sprintf('%.10F', $cell), '0'), '.'),
            $cell instanceof DateTimeInterface => $cell->format($cell->format('His') === '000000' ? 'Y-m-d' : 'Y-m-d H:i:s'),
            default => '',
        };
    }
}
