<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use Generator;

/**
 * The rows of a list as spreadsheets and registrars export it: RFC 4180 with a comma, semicolon, tab or bar, in any usual encoding.
 *
 * Read line by line; nothing holds the whole file.
 */
final readonly class CsvRows implements RowSource
{
    private const START = 65_536;

    /** What spreadsheets write before a list, and read, so that another country's separator is known: `sep=;`. */
    private const SAID = '/^(?:\xEF\xBB\xBF)?"?sep=(?<sign>[,;|\t])"?\s*$/Di';

    /** @param  bool  $isOldMac  whether a carriage return alone ends a line */
    private function __construct(private string $path, public Encoding $encoding, public string $separator, private bool $isOldMac)
    {
    }

    /**
     * @param  Encoding|null  $encoding  null: what its first bytes look like
     *
     * @throws ListError when it is no such list
     */
    public static function open(string $path, ?Encoding $encoding = null): self
    {
        $start = is_file($path) && is_readable($path) ? file_get_contents($path, false, null, 0, self::START) : false;
        if ($start === false) {
            throw ListError::unreadable(basename($path));
        }
        if (trim($start) === '') {
            throw ListError::empty();
        }
        $kind = match (true) {
            str_starts_with($start, '%PDF') => 'a PDF',
            str_starts_with($start, "\xD0\xCF\x11\xE0") => 'a spreadsheet of an old kind, or one with a password',
            str_starts_with($start, "\x89PNG"), str_starts_with($start, "\xFF\xD8\xFF") => 'a picture',
            default => null,
        };
        if ($kind !== null) {
            throw ListError::notText($kind);
        }
        $looks = Encoding::of($start);
        $encoding = $looks->isWide() ? $looks : $encoding ?? $looks;
        if (! $encoding->isWide() && str_contains($start, "\0")) {
            throw ListError::notText('something with NUL bytes in it');
        }
        $text = $encoding->isWide()
            ? mb_convert_encoding(substr($start, 0, intdiv(strlen($start), 2) * 2), 'UTF-8', $encoding->value)
            : $start;

        return new self($path, $encoding, self::separator($text), str_contains($text, "\r") && ! str_contains($text, "\n"));
    }

    public function namesColumns(): bool
    {
        return false;
    }

    public function sheets(): array
    {
        return [];
    }

    public function sheet(): string
    {
        return '';
    }

    /** @return Generator<int, ListRow> */
    public function rows(): Generator
    {
        $handle = fopen($this->path, 'rb');
        if ($handle === false) {
            throw ListError::unreadable(basename($this->path));
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
            while (
                ($read = $this->isOldMac
                    ? @stream_get_line($handle, Lists::LINE_LIMIT + 2, "\r")
                    : @fgets($handle, Lists::LINE_LIMIT + 2)) !== false
            ) {
                $line++;
                if ($line === 1 && preg_match(self::SAID, $read) === 1) {
                    $begins = 2;

                    continue;
                }
                $pending .= $read;
                if (strlen($pending) > Lists::LINE_LIMIT) {
                    throw ListError::longLine($begins, Lists::LINE_LIMIT);
                }
                if ($this->isOpen($pending)) {
                    continue;
                }
                $row = new ListRow($begins, $this->cells(rtrim($pending, "\r\n"), $begins));
                $begins = $line + 1;
                $pending = '';
                if (! $row->isBlank()) {
                    yield $row;
                }
            }
            if (error_get_last() !== null) {
                throw ListError::brokenText($line + 1);
            }
            if ($pending !== '') {
                throw ListError::openQuote($begins);
            }
        } finally {
            fclose($handle);
        }
    }

    /**
     * Whether a value goes on in the next line: it began with a quotation mark (RFC 4180 §2.5), and that has no fellow yet.
     * A mark inside a value that did not begin with one is a character like any other.
     */
    private function isOpen(string $text): bool
    {
        for ($at = 0; ; $at = $next + 1) {
            $at += strspn($text, ' ', $at);
            if (($text[$at] ?? '') === '"') {
                do {
                    $end = strpos($text, '"', $at + 1);
                    if ($end === false) {
                        return true;
                    }
                    $at = $end + 1;
                } while (($text[$at] ?? '') === '"');
            }
            $next = strpos($text, $this->separator, $at);
            if ($next === false) {
                return false;
            }
        }
    }

    /** @return list<string> */
    private function cells(string $line, int $number): array
    {
        $line = $number === 1 ? (string) preg_replace('/^\xEF\xBB\xBF/', '', $line) : $line;
        $cells = str_getcsv($this->encoding->decode($line), $this->separator, '"', '');
        if (count($cells) > Lists::COLUMN_LIMIT) {
            throw ListError::tooManyColumns($number, Lists::COLUMN_LIMIT);
        }

        return array_map(fn (?string $cell): string => Lists::clean($cell ?? ''), $cells);
    }

    private static function separator(string $text): string
    {
        if (preg_match(self::SAID, (string) strtok($text, "\r\n"), $said) === 1) {
            return $said['sign'];
        }
        $lines = array_slice(
            array_filter(explode("\n", str_replace("\r", "\n", $text)), fn (string $line): bool => trim($line) !== ''),
            0,
            10,
        );
        $best = [',' => 0, ';' => 0, "\t" => 0, '|' => 0];
        foreach (array_keys($best) as $separator) {
            $counts = array_map(fn (string $line): int => count(str_getcsv($line, $separator, '"', '')), $lines);
            // One that cuts every line into the same number of columns beats one that only cuts more.
            $best[$separator] = $counts === [] ? 0 : min($counts) * 1000 + max($counts);
        }
        arsort($best);

        return (string) array_key_first($best);
    }
}
