<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use Acre\Wire\Lists\Spout\MoneyCell;
use Acre\Wire\Lists\Spout\Readers;
use Acre\Wire\Text\PlainText;
use Acre\Wire\Xml\XmlPrologue;
use DateTimeInterface;
use Error;
use ErrorException;
use Generator;
use OpenSpout\Common\Entity\Cell as SheetCell;
use OpenSpout\Common\Entity\Row;
use OpenSpout\Common\Exception\SpoutException;
use OpenSpout\Reader\SheetInterface;
use ZipArchive;

/**
 * The rows of one sheet of a spreadsheet: XLSX (ECMA-376) or ODS (OASIS OpenDocument 1.3).
 *
 * The archive is judged before anything is unpacked; a document type, which could carry entities, is refused.
 */
final readonly class SheetRows implements RowSource
{
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

    /** @param  list<string>  $sheets */
    private function __construct(private string $path, private bool $isOds, private array $sheets, private string $sheet)
    {
    }

    /**
     * @param  string|null  $sheet  null: the first that is shown and has two rows or more, else the first that has any
     *
     * @throws ListError when it is no spreadsheet, or one that must not be unpacked
     */
    public static function open(string $path, ?string $sheet = null): self
    {
        $isOds = self::judge($path);
        $names = $shown = $several = [];
        foreach ((new self($path, $isOds, [], ''))->each() as [$name, $isShown, $rows]) {
            $count = 0;
            foreach ($rows as $row) {
                if (++$count === 2) {
                    break;
                }
            }
            if ($count > 0) {
                $names[] = $name;
                array_push($shown, ...$isShown ? [$name] : []);
                array_push($several, ...$isShown && $count > 1 ? [$name] : []);
            }
        }
        if ($names === []) {
            throw ListError::empty();
        }
        if ($sheet !== null && ! in_array($sheet, $names, true)) {
            throw ListError::noSuchSheet($sheet, $names);
        }

        return new self($path, $isOds, $names, $sheet ?? ($several[0] ?? ($shown[0] ?? $names[0])));
    }

    public function namesColumns(): bool
    {
        return false;
    }

    public function sheets(): array
    {
        return $this->sheets;
    }

    public function sheet(): string
    {
        return $this->sheet;
    }

    /** @return Generator<int, ListRow> */
    public function rows(): Generator
    {
        foreach ($this->each() as [$name, , $rows]) {
            if ($name === $this->sheet) {
                yield from $rows;

                return;
            }
        }
    }

    /** @return bool whether it is ODS */
    private static function judge(string $path): bool
    {
        $archive = new ZipArchive();
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
                if (
                    (preg_match('/\.(xml|rels)$/i', $entry['name']) === 1 ? trim($start) !== '' : XmlPrologue::isXml($start)) &&
                    ! XmlPrologue::isPlain($start)
                ) {
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

    /**
     * @return Generator<int, array{string, bool, Generator<int, ListRow>}> each sheet's name, whether it is shown, and its rows that are
     *     not blank
     */
    private function each(): Generator
    {
        try {
            $reader = $this->isOds ? Readers::ods() : Readers::xlsx();
            $reader->open($this->path);
            try {
                foreach ($reader->getSheetIterator() as $sheet) {
                    if ($sheet instanceof SheetInterface) {
                        yield [self::name($sheet), $sheet->isVisible(), $this->of($sheet)];
                    }
                }
            } finally {
                $reader->close();
            }
        } catch (SpoutException|ErrorException|Error) {
            throw self::broken();
        }
    }

    private static function name(SheetInterface $sheet): string
    {
        return PlainText::line($sheet->getName(), 200);
    }

    /** @return Generator<int, ListRow> */
    private function of(SheetInterface $sheet): Generator
    {
        try {
            $blanks = 0;
            foreach ($sheet->getRowIterator() as $line => $row) {
                $line = is_int($line) ? $line : 0;
                $read = $row instanceof Row ? $this->row(array_values($row->getCells()), $line) : new ListRow($line, []);
                $blanks = $read->isBlank() ? $blanks + 1 : 0;
                if ($blanks > self::BLANKS) {
                    return;
                }
                if ($blanks === 0) {
                    yield $read;
                }
            }
        } catch (SpoutException|ErrorException|Error) {
            throw self::broken();
        }
    }

    /** The library takes for granted that what it looks for is there. */
    private static function broken(): ListError
    {
        return ListError::notText('a spreadsheet that is broken, or has a cell of many megabytes');
    }

    /** @param  list<SheetCell>  $cells */
    private function row(array $cells, int $line): ListRow
    {
        $texts = $numbers = [];
        foreach ($cells as $column => $cell) {
            $value = $cell->getValueEvenIfError();
            $money = is_string($value) ? MoneyCell::read($value) : null;
            $text = Lists::clean($money ?? self::text($value));
            if ($column >= Lists::COLUMN_LIMIT) {
                // Formats reach far to the right of the last value; they are no columns.
                if ($text !== '') {
                    throw ListError::tooManyColumns($line, Lists::COLUMN_LIMIT);
                }
                break;
            }
            if (strlen($text) > Lists::LINE_LIMIT) {
                throw ListError::longLine($line, Lists::LINE_LIMIT);
            }
            $texts[] = $text;
            if ($money !== null || is_int($value) || is_float($value)) {
                $numbers[] = $column;
            }
        }

        return new ListRow($line, $texts, $numbers);
    }

    private static function text(mixed $cell): string
    {
        return match (true) {
            is_string($cell) => $cell,
            is_bool($cell) => $cell ? 'yes' : 'no',
            is_int($cell) => (string) $cell,
            is_float($cell) => ListNumber::text($cell),
            $cell instanceof DateTimeInterface => $cell->format($cell->format('His') === '000000' ? 'Y-m-d' : 'Y-m-d H:i:s'),
            default => '',
        };
    }
}
