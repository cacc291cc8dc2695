<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\Lists;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Rough files: whatever the bytes, there are rows of clean text or an error with words, and never more memory than a line needs. */
final class CsvRoughTest extends TestCase
{
    private const PIECES = [
        'bell.com',
        ',',
        ';',
        "\t",
        '"',
        '""',
        "\n",
        "\r\n",
        "\r",
        "\0",
        "\xFF\xFE",
        "\xEF\xBB\xBF",
        "\xE4",
        'ä',
        '2027-01-01',
        ' ',
        "\x1A",
        '=1+1',
        "\u{2028}",
        'x',
    ];

    public function test_any_bytes_give_rows_of_clean_text_or_an_error_with_words(): void
    {
        $random = new Randomizer(new Mt19937(4180));
        $file = (string) tempnam(sys_get_temp_dir(), 'acre-rough-');
        $read = $refused = 0;
        for ($case = 0; $case < 3000; $case++) {
            $content = '';
            for ($count = $random->getInt(0, 40); $count > 0; $count--) {
                $content .= $random->getInt(0, 19) === 0 ? $random->getBytes(3) : self::PIECES[$random->getInt(0, count(self::PIECES) - 1)];
            }
            file_put_contents($file, $content);
            try {
                $last = 0;
                foreach (Lists::open($file)->rows() as $row) {
                    $read++;
                    self::assertGreaterThan($last, $row->line);
                    $last = $row->line;
                    self::assertFalse($row->isBlank());
                    foreach ($row->cells as $cell) {
                        self::assertTrue(mb_check_encoding($cell, 'UTF-8'));
                        self::assertDoesNotMatchRegularExpression('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/', $cell);
                    }
                }
            } catch (ListError $e) {
                $refused++;
                self::assertNotSame('', $e->getMessage());
            }
        }
        unlink($file);
        self::assertGreaterThan(500, $read);
        self::assertGreaterThan(300, $refused);
    }

    public function test_a_large_file_is_read_a_line_at_a_time(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'acre-large-');
        $handle = fopen($file, 'wb');
        self::assertIsResource($handle);
        fwrite($handle, "name,ends\n");
        for ($line = 0; $line < 200_000; $line++) {
            fwrite($handle, "bell-{$line}.com,2027-11-02\n");
        }
        fclose($handle);
        $before = memory_get_peak_usage();
        $count = 0;
        foreach (Lists::open($file)->rows() as $row) {
            $count++;
        }
        unlink($file);
        self::assertSame(200_000, $count);
        self::assertLessThan(4 * 1024 * 1024, memory_get_peak_usage() - $before);
    }
}
