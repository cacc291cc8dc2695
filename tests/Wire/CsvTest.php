<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Lists\CsvFile;
use Acre\Wire\Lists\DateOrder;
use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\ListRow;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CsvTest extends TestCase
{
    /** @var list<string> */
    private array $files = [];

    protected function tearDown(): void
    {
        array_map(unlink(...), $this->files);
    }

    private function file(string $content): string
    {
        $this->files[] = $file = (string) tempnam(sys_get_temp_dir(), 'acre-csv-');
        file_put_contents($file, $content);

        return $file;
    }

    /** @return list<list<string>> */
    private function rows(string $content): array
    {
        return array_map(fn (ListRow $row): array => $row->cells, iterator_to_array(CsvFile::open($this->file($content))->rows(), false));
    }

    /** @return iterable<string, array{string}> */
    public static function spellings(): iterable
    {
        $list = "Name;Owner\r\nglockenwärts.com;\"Bell; \"\"Foundry\"\"\"\r\n";
        yield 'UTF-8' => [$list];
        yield 'UTF-8 with a mark' => ["\xEF\xBB\xBF".$list];
        yield 'Latin-1' => [mb_convert_encoding($list, 'Windows-1252', 'UTF-8')];
        yield 'UTF-16, little end first' => ["\xFF\xFE".mb_convert_encoding($list, 'UTF-16LE', 'UTF-8')];
        yield 'UTF-16, big end first' => ["\xFE\xFF".mb_convert_encoding($list, 'UTF-16BE', 'UTF-8')];
        yield 'tabs' => [str_replace(['Name;', '.com;'], ["Name\t", ".com\t"], $list)];
        yield 'commas' => [str_replace(['Name;', '.com;'], ['Name,', '.com,'], $list)];
        yield 'a bare line feed' => [str_replace("\r\n", "\n", $list)];
    }

    #[DataProvider('spellings')]
    public function test_every_spelling_of_one_list_is_read_alike(string $content): void
    {
        $file = CsvFile::open($this->file($content));
        self::assertSame(['Name', 'Owner'], $file->headings());
        $rows = iterator_to_array($file->rows(), false);
        self::assertSame([['glockenwärts.com', 'Bell; "Foundry"']], array_map(fn (ListRow $row): array => $row->cells, $rows));
        self::assertSame(2, $rows[0]->line);
    }

    public function test_a_value_may_run_over_lines_and_the_line_number_stays_true(): void
    {
        $rows = iterator_to_array(CsvFile::open($this->file("name,note\na.com,\"one\ntwo\"\n\n,\nb.com,x\n"))->rows(), false);
        self::assertSame([2, 6], array_map(fn (ListRow $row): int => $row->line, $rows));
        self::assertSame('one two', $rows[0]->cell(1), 'a cell is one line');
    }

    public function test_short_rows_and_control_characters_are_borne(): void
    {
        self::assertSame([['a.com'], ['b.com', 'x y', 'z']], $this->rows("name,b,c\na.com\nb.com,x\x07y,z\n"));
    }

    #[TestWith(['', 'empty'])]
    #[TestWith(["  \n ", 'empty'])]
    #[TestWith(["name,ends\n", 'nothing below it'])]
    #[TestWith(["\xD0\xCF\x11\xE0\xA1", 'a spreadsheet of an old kind'])]
    #[TestWith(["a\0b,c\nd,e\n", 'NUL bytes'])]
    public function test_what_is_no_list_is_refused_with_a_reason(string $content, string $why): void
    {
        $this->expectException(ListError::class);
        $this->expectExceptionMessage($why);
        CsvFile::open($this->file($content));
    }

    public function test_a_quotation_mark_that_never_closes_does_not_swallow_the_machine(): void
    {
        $this->expectException(ListError::class);
        $this->expectExceptionMessage('Line 2 is longer than');
        $this->rows("name,note\na.com,\"never\n".str_repeat("b.com,x\n", 60_000));
    }

    /** RFC 4180 §2.5 to §2.7: marks enclose a value only where it begins with one, and are doubled inside. */
    public function test_a_quotation_mark_inside_a_value_is_a_character(): void
    {
        self::assertSame(
            [['a.com', '5" pipes'], ['b.com', 'say "x"'], ['c.com', 'a "b", c'], ['d.com', '']],
            $this->rows("name,note\na.com,5\" pipes\nb.com,say \"x\"\nc.com,\"a \"\"b\"\", c\"\nd.com,\"\"\n"),
        );
    }

    public function test_a_quotation_mark_without_fellow_hides_no_lines(): void
    {
        $this->expectException(ListError::class);
        $this->expectExceptionMessage('a value of line 3 begins with has no fellow');
        $this->rows("name,note\na.com,x\nb.com,\"never\nc.com,x\nd.com,x\n");
    }

    public function test_a_line_of_a_thousand_columns_is_refused(): void
    {
        $this->expectException(ListError::class);
        $this->expectExceptionMessage('more than 200 columns');
        $this->rows("name\n".str_repeat('a,', 1000)."\n");
    }

    /**
     * @param  list<string>  $values
     * @param  list<string>  $orders
     */
    #[TestWith([['03/04/2027', '13/04/2027'], ['dmy']])]
    #[TestWith([['03/04/2027', '04/13/2027'], ['mdy']])]
    #[TestWith([['03/04/2027'], ['dmy', 'mdy']])]
    #[TestWith([['2027-04-03'], ['ymd', 'dmy', 'mdy']])]
    #[TestWith([['', 'soon', '13.4.2027'], ['dmy']])]
    public function test_a_columns_own_values_prove_their_order(array $values, array $orders): void
    {
        self::assertSame($orders, array_column(DateOrder::provenBy($values), 'value'));
    }

    #[TestWith(['2027-04-03T23:59:59Z', '2027-04-03'])]
    #[TestWith(['20270403', '2027-04-03'])]
    #[TestWith(['3 Apr 2027', '2027-04-03'])]
    #[TestWith(['3. März 2027', '2027-03-03'])]
    #[TestWith(['12-Oct-2027', '2027-10-12'])]
    #[TestWith(['Oct 12, 2027', '2027-10-12'])]
    #[TestWith(['03.04.2027 10:00', '2027-04-03'])]
    #[TestWith(['31.02.2027', null])]
    #[TestWith(['46000', '2025-12-09'])]
    #[TestWith(['86000', null])]
    #[TestWith(['1.2.27', null])]
    public function test_dates_as_people_write_them(string $written, ?string $read): void
    {
        self::assertSame($read, DateOrder::DayMonthYear->read($written));
    }
}
