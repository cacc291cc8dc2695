<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Lists\DateOrder;
use Acre\Wire\Lists\Encoding;
use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\ListOptions;
use Acre\Wire\Lists\ListRow;
use Acre\Wire\Lists\Lists;
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
        return array_map(fn (ListRow $row): array => $row->cells, iterator_to_array(Lists::open($this->file($content))->rows(), false));
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
        $file = Lists::open($this->file($content));
        self::assertSame(['Name', 'Owner'], $file->headings);
        $rows = iterator_to_array($file->rows(), false);
        self::assertSame([['glockenwärts.com', 'Bell; "Foundry"']], array_map(fn (ListRow $row): array => $row->cells, $rows));
        self::assertSame(2, $rows[0]->line);
    }

    public function test_a_value_may_run_over_lines_and_the_line_number_stays_true(): void
    {
        $rows = iterator_to_array(Lists::open($this->file("name,note\na.com,\"one\ntwo\"\n\n,\nb.com,x\n"))->rows(), false);
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
        Lists::open($this->file($content));
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

    /** Common practice of spreadsheets, whose separator is their country's: the first line may say it. */
    public function test_a_file_may_say_its_separator(): void
    {
        self::assertSame([['a.com', 'one;two, three']], $this->rows("sep=|\r\nname|note\r\na.com|one;two, three\r\n"));
        $rows = iterator_to_array(Lists::open($this->file("\xEF\xBB\xBF\"sep=;\"\nname;note\na.com;x,y\n"))->rows(), false);
        self::assertSame([3, ['a.com', 'x,y']], [$rows[0]->line, $rows[0]->cells]);
    }

    public function test_a_list_without_headings_keeps_its_first_line_and_a_person_may_say_so(): void
    {
        $open = fn (string $content, ?bool $has = null) => Lists::open($this->file($content), new ListOptions(hasHeadings: $has));
        foreach (
            ["bell.com,2027-11-02\npeal.org,2027-12-01\n" => 2, "bell.com\n"
                .'' => 1, "\"bell.com\"\n'peal.org'\nhttps://oak.com/\n" => 3] as $content => $count
        ) {
            $list = $open($content);
            self::assertFalse($list->hasHeadings, $content);
            self::assertCount($count, iterator_to_array($list->rows(), false));
            self::assertSame('', implode('', $list->headings));
        }
        // A short form with a point looks like a host; what stands below tells.
        self::assertTrue($open("Domain,Exp.date\nbell.com,2027-11-02\n")->hasHeadings);
        self::assertFalse($open("one,two\nbell.com,x\n", false)->hasHeadings);
        self::assertCount(1, iterator_to_array($open("bell.com\npeal.org\n", true)->rows(), false));
    }

    /** Letters far below the beginning, and two programs' lines in one file. */
    public function test_each_line_is_read_in_its_own_encoding(): void
    {
        $western = fn (string $text): string => mb_convert_encoding($text, 'Windows-1252', 'UTF-8');
        $rows = $this->rows(
            "name,owner\n".str_repeat("bell.com,Bell\n", 6_000).$western("peal.com,Glockengießerei\n")."oak.com,Łódź\n",
        );
        self::assertSame([['peal.com', 'Glockengießerei'], ['oak.com', 'Łódź']], array_slice($rows, -2));
        $list = Lists::open(
            $this->file((string) iconv('UTF-8', 'Windows-1250', "name,owner\npeal.com,Łódź Dzwony\n")),
            new ListOptions(encoding: Encoding::Central),
        );
        self::assertSame('Łódź Dzwony', iterator_to_array($list->rows(), false)[0]->cell(1));
        $wide = mb_convert_encoding("name;owner\npeal.com;Łódź\n", 'UTF-16LE', 'UTF-8');
        self::assertSame([['peal.com', 'Łódź']], $this->rows($wide));
    }

    public function test_lines_that_end_with_a_carriage_return_alone_are_lines(): void
    {
        $rows = iterator_to_array(Lists::open($this->file("name;owner\rpeal.com;Bell\r\roak.com;Oak\r"))->rows(), false);
        self::assertSame([[2, 'peal.com'], [4, 'oak.com']], array_map(fn (ListRow $row): array => [$row->line, $row->cell(0)], $rows));
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
    #[TestWith([['13/04/2027', '04/13/2027'], ['dmy', 'mdy']])]
    #[TestWith([['04/13/2027', '03/04/2027', '13/04/2027'], ['dmy', 'mdy']])]
    #[TestWith([['02-03-04'], ['ymd', 'dmy', 'mdy']])]
    #[TestWith([['02-03-04', '99-02-28'], ['ymd']])]
    #[TestWith([['99-02-28', '13/04/2027'], ['ymd', 'dmy']])]
    public function test_a_columns_own_values_prove_their_order(array $values, array $orders): void
    {
        self::assertSame($orders, array_column(DateOrder::provenBy($values), 'value'));
    }

    /** RFC 3339 §5.6; a time without its distance from UTC is of no known zone, and the day is what is left. */
    #[TestWith(['2027-03-01T00:30:00+02:00', '2027-02-28T22:30:00Z'])]
    #[TestWith(['2027-04-03T23:59:59Z', '2027-04-03T23:59:59Z'])]
    #[TestWith(['2027-04-03 23:59:59.123 UTC', '2027-04-03T23:59:59Z'])]
    #[TestWith(['03.04.2027 23:30 -0500', '2027-04-04T04:30:00Z'])]
    #[TestWith(['03.04.2027 7:05 +01', '2027-04-03T06:05:00Z'])]
    #[TestWith(['2027-04-03 23:59:59', '2027-04-03'])]
    #[TestWith(['2027-04-03T25:00:00Z', '2027-04-03'])]
    #[TestWith(['2027-04-03', '2027-04-03'])]
    #[TestWith(['soon', null])]
    public function test_a_time_with_its_offset_is_kept(string $written, ?string $read): void
    {
        self::assertSame($read, DateOrder::DayMonthYear->readExactly($written));
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
    #[TestWith(['1.2.27', '2027-02-01'])]
    #[TestWith(['1.2.85', '1985-02-01'])]
    #[TestWith(['12-Oct-27', '2027-10-12'])]
    #[TestWith(['1.2.127', null])]
    public function test_dates_as_people_write_them(string $written, ?string $read): void
    {
        self::assertSame($read, DateOrder::DayMonthYear->read($written));
    }
}
