<?php

declare(strict_types=1);

namespace Acre\Wire\Csv;

use Generator;

/**
 * A list as spreadsheets and registrars export it: RFC 4180 with a comma, semicolon or tab, in one of four encodings.
 *
 * Read line by line; nothing holds the whole file.
 */
final readonly class CsvFile
{
    /** A cell of the largest sensible kind, a thousand times over. */
    private const LINE_LIMIT = 262_144;

    private const COLUMN_LIMIT = 200;

    private const START = 65_536;

    /** @param  list<string>  $headings */
    private function __construct(private string $path, public Encoding $encoding, public string $separator, public array $headings)
    {
    }

    /** @throws CsvError when it is no such list */
    public static function open(string $path): self
    {
        $start = is_file($path) && is_readable($path) ? file_get_contents($path, false, null, 0, self::START) : false;
        if ($start === false) {
            throw CsvError::unreadable(basename($path));
        }
        if (trim($start) === '') {
            throw CsvError::empty();
        }
        $kind = match (true) {
            str_starts_with($start, "PK\x03\x04") => 'a spreadsheet or an archive',
            str_starts_with($start, '%PDF') => 'a PDF',
            str_starts_with($start, "\xD0\xCF\x11\xE0") => 'an old spreadsheet',
            str_starts_with($start, "\x89PNG"), str_starts_with($start, "\xFF\xD8\xFF") => 'a picture',
            default => null,
        };
        if ($kind !== null) {
            throw CsvError::notText($kind);
        }
        $encoding = Encoding::of($start);
        if (! $encoding->isWide() && str_contains($start, "\0")) {
            throw CsvError::notText('something with NUL bytes in it');
        }
        $separator = self::separator($encoding->isWide() ? mb_convert_encoding(substr($start, 2, intdiv(strlen($start) - 2, 2) * 2), 'UTF-8', $encoding->value) : $start);
        $file = new self($path, $encoding, $separator, []);
        $headings = null;
        foreach ($file->all() as $row) {
            if ($headings !== null) {
                return new self($path, $encoding, $separator, $headings);
            }
            $headings = $row->cells;
        }
        throw $headings === null ? CsvError::empty() : CsvError::noRows();
    }

    /**
     * The rows below the headings; blank ones are passed over.
     *
     * @return Generator<int, CsvRow>
     *
     * @throws CsvError when a line is not to be borne
     */
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

    /** @return Generator<int, CsvRow> */
    private function all(): Generator
    {
        $handle = fopen($this->path, 'rb');
        if ($handle === false) {
            throw CsvError::unreadable(basename($this->path));
        }
        try {
            if ($this->encoding->isWide()) {
                stream_filter_append($handle, "convert.iconv.{$this->encoding->value}/UTF-8", STREAM_FILTER_READ);
            }
            $line = 0;
            $begins = 1;
            $pending = '';
            error_clear_last();
            // Half a character in a wide file is a warning and an early end: told below, not lost.
            while (($read = @fgets($handle, self::LINE_LIMIT + 2)) !== false) {
                $line++;
                $pending .= $read;
                if (strlen($pending) > self::LINE_LIMIT) {
                    throw CsvError::longLine($begins, self::LINE_LIMIT);
                }
                // Quotation marks that are still open: the value goes on in the next line.
                if (substr_count($pending, '"') % 2 === 1 && ! feof($handle)) {
                    continue;
                }
                $row = new CsvRow($begins, $this->cells(rtrim($pending, "\r\n"), $begins));
                $begins = $line + 1;
                $pending = '';
                if (! $row->isBlank()) {
                    yield $row;
                }
            }
            if (error_get_last() !== null) {
                throw CsvError::brokenText($line + 1);
            }
        } finally {
            fclose($handle);
        }
    }

    /** @return list<string> */
    private function cells(string $line, int $number): array
    {
        $line = $number === 1 ? (string) preg_replace('/^\xEF\xBB\xBF/', '', $line) : $line;
        if ($this->encoding === Encoding::Latin1) {
            $line = mb_convert_encoding($line, 'UTF-8', Encoding::Latin1->value);
        }
        $cells = str_getcsv($line, $this->separator, '"', '');
        if (count($cells) > self::COLUMN_LIMIT) {
            throw CsvError::tooManyColumns($number, self::COLUMN_LIMIT);
        }

        return array_map(fn (?string $cell): string => (string) preg_replace('/^[\s\x{FEFF}]+|[\s\x{FEFF}]+$|[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/u', '', mb_scrub($cell ?? '')), $cells);
    }

    private static function separator(string $text): string
    {
        $lines = array_slice(array_filter(explode("\n", str_replace("\r", "\n", $text)), fn (string $line): bool => trim($line) !== ''), 0, 10);
        $best = [',' => 0, ';' => 0, "\t" => 0];
        foreach (array_keys($best) as $separator) {
            $counts = array_map(fn (string $line): int => count(str_getcsv($line, $separator, '"', '')), $lines);
            // One that cuts every line into the same number of columns beats one that only cuts more.
            $best[$separator] = $counts === [] ? 0 : min($counts) * 1000 + max($counts);
        }
        arsort($best);

        return (string) array_key_first($best);
    }
}
