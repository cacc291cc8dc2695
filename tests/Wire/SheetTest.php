<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\ListOptions;
use Acre\Wire\Lists\Lists;
use ErrorException;
use OpenSpout\Writer\Common\Creator\WriterEntityFactory;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use ZipArchive;

/** Spreadsheets: parts written by hand after ECMA-376 (part 1, 18.3 and 18.8) and OpenDocument 1.3 (part 3, 9.1). */
final class SheetTest extends TestCase
{
    private const TYPES = '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default '
        .'Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" '
        .'ContentType="application/xml"/><Override PartName="/xl/workbook.xml" '
        .'ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override '
        .'PartName="/xl/sharedStrings.xml" '
        .'ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sharedStrings+xml"/></Types>';

    private const RELATIONS = '<?xml version="1.0"?><Relationships '
        .'xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" '
        .'Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/%s" Target="%s"/></Relationships>';

    private const MAIN = 'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" '
        .'xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"';

    /** @var list<string> */
    private array $files = [];

    /** As the process that reads a list does. */
    protected function setUp(): void
    {
        set_error_handler(fn (int $kind, string $said) => throw new ErrorException($said, 0, $kind));
    }

    protected function tearDown(): void
    {
        restore_error_handler();
        array_map(unlink(...), $this->files);
    }

    /** @return iterable<string, array{array<string, string>}> */
    public static function spellings(): iterable
    {
        yield 'XLSX' => [
            self::xlsx(
                '<row r="1"><c r="A1" t="s"><v>0</v></c><c r="B1" t="inlineStr"><is><t>Ends</t></is></c><c r="D1" '
                    .'t="inlineStr"><is><t>Lock</t></is></c></row>'.
                    '<row r="3"><c r="A3" t="s"><v>1</v></c><c r="B3" s="1"><v>46692</v></c><c r="C3"><v>12.5</v></c><c r="D3" '
                        .'t="b"><v>1</v></c></row>',
            ),
        ];
        yield 'ODS' => [
            self::ods(
                '<table:table-row><table:table-cell office:value-type="string"><text:p>Name</text:p></table:table-cell><table:table-cell '
                    .'office:value-type="string"><text:p>Ends</text:p></table:table-cell><table:table-cell/><table:table-cell '
                    .'office:value-type="string"><text:p>Lock</text:p></table:table-cell></table:table-row>'.
                    '<table:table-row><table:table-cell table:number-columns-repeated="1024"/></table:table-row>'.
                    '<table:table-row><table:table-cell '
                        .'office:value-type="string"><text:p>glockenwärts.com</text:p></table:table-cell><table:table-cell '
                        .'office:value-type="date" office:date-value="2027-11-01"><text:p>1. Nov '
                        .'27</text:p></table:table-cell><table:table-cell office:value-type="float" '
                        .'office:value="12.5"><text:p>12,50</text:p></table:table-cell><table:table-cell office:value-type="boolean" '
                        .'office:boolean-value="true"><text:p>WAHR</text:p></table:table-cell></table:table-row>',
            ),
        ];
    }

    /** @param  array<string, string>  $parts */
    #[DataProvider('spellings')]
    public function test_both_kinds_are_read_alike(array $parts): void
    {
        $list = Lists::open($this->archive($parts));
        self::assertSame(['Name', 'Ends', '', 'Lock'], $list->headings);
        $rows = iterator_to_array($list->rows(), false);
        self::assertCount(1, $rows);
        self::assertSame(3, $rows[0]->line);
        // 46,692 days after 30 December 1899, as every spreadsheet counts them, are 1 November 2027.
        self::assertSame(['glockenwärts.com', '2027-11-01', '12.5', 'yes'], $rows[0]->cells);
    }

    /**
     * What a cell's format shows is part of it (ECMA-376 part 1, §18.8.31; OpenDocument 1.3 part 3, §19.387): currencies are kept, words
     * in quotation marks make no date, and a number stays one, whatever its decimals.
     */
    public function test_numbers_keep_their_currency_and_dates_are_only_dates(): void
    {
        $formats = [
            '#,##0.00 "USD"',
            '[$€-407] #,##0.00',
            '"£"#,##0.00;[Red]\\-"£"#,##0.00',
            '[$$-C09]#,##0.00',
            'yyyy\\-mm\\-dd',
            '#,##0.00\\ [$kr-41D]',
            '0.00" days"',
            '[$kr]0.00',
        ];
        $codes = implode(
            '',
            array_map(
                fn (int $at, string $code): string => '<numFmt numFmtId="'.
                    (170 + $at).
                    '" formatCode="'.
                    htmlspecialchars($code).
                    '"/>',
                array_keys($formats),
                $formats,
            ),
        );
        $styles = implode(
            '',
            array_map(fn (int $at): string => '<xf numFmtId="'.(170 + $at).'" applyNumberFormat="1"/>', array_keys($formats)),
        );
        $cells = implode(
            '',
            array_map(
                fn (int $at): string => '<c r="'.
                    chr(66 + $at).
                    '2" s="'.
                    ($at + 1).
                    '"><v>'.
                    ($at === 4 ? '46692' : '8.4').
                    '</v></c>',
                array_keys($formats),
            ),
        );
        $parts = self::xlsx(
            '<row r="1"><c r="A1" t="s"><v>0</v></c></row><row r="2"><c r="A2" t="s"><v>1</v></c>'.
                $cells.
                '<c r="J2"><v>9.9960000000000004</v></c><c r="K2" t="e"><v>#N/A</v></c><c r="L2" t="s"><v>1</v></c></row>',
        );
        $parts['xl/styles.xml'] =
            '<?xml version="1.0"?><styleSheet '.
            self::MAIN.
            '><numFmts count="8">'.
            $codes.
            '</numFmts><cellXfs count="9"><xf numFmtId="0"/>'.
            $styles.
            '</cellXfs></styleSheet>';
        $row = iterator_to_array(Lists::open($this->archive($parts))->rows(), false)[0];
        self::assertSame(
            ['8.4 USD', '8.4 EUR', '8.4 GBP', '8.4 AUD', '2027-11-01', '8.4 SEK', '8.4', '8.4', '9.996', '#N/A', 'glockenwärts.com'],
            array_slice($row->cells, 1),
        );
        self::assertSame([1, 2, 3, 4, 6, 7, 8, 9], $row->numbers);

        $ods = self::ods(
            '<table:table-row><table:table-cell '
                .'office:value-type="string"><text:p>Name</text:p></table:table-cell></table:table-row><table:table-row><table:table-cell '
                .'office:value-type="string"><text:p>bell.com</text:p></table:table-cell>'.
                '<table:table-cell office:value-type="currency" office:currency="CHF" office:value="12.5"><text:p>CHF '
                    .'12.50</text:p></table:table-cell><table:table-cell office:value-type="float" '
                    .'office:value="9.996"><text:p>10,00</text:p></table:table-cell></table:table-row>',
        );
        $row = iterator_to_array(Lists::open($this->archive($ods))->rows(), false)[0];
        self::assertSame([['bell.com', '12.5 CHF', '9.996'], [1, 2]], [$row->cells, $row->numbers]);
    }

    public function test_the_sheet_is_chosen_and_a_hidden_one_is_never_the_first(): void
    {
        $parts = self::xlsx('<row r="1"><c r="A1" t="inlineStr"><is><t>Hidden</t></is></c></row><row r="2"><c r="A2"><v>1</v></c></row>');
        $parts['xl/workbook.xml'] =
            '<?xml version="1.0"?><workbook '.
            self::MAIN.
            '><sheets><sheet name="Codes" sheetId="1" state="hidden" r:id="rId1"/><sheet name="Old" sheetId="2" r:id="rId4"/><sheet '
                .'name="New" sheetId="3" r:id="rId5"/></sheets></workbook>';
        $parts['xl/_rels/workbook.xml.rels'] = str_replace(
            '</Relationships>',
            '<Relationship Id="rId4" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" '
                .'Target="worksheets/sheet2.xml"/>'.
                '<Relationship Id="rId5" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" '
                    .'Target="worksheets/sheet3.xml"/></Relationships>',
            $parts['xl/_rels/workbook.xml.rels'],
        );
        foreach (['2' => 'bell.com', '3' => 'peal.com'] as $number => $name) {
            $parts["xl/worksheets/sheet{$number}.xml"] = str_replace(
                'Hidden',
                'Name',
                str_replace(
                    '<c r="A2"><v>1</v></c>',
                    '<c r="A2" t="inlineStr"><is><t>'.$name.'</t></is></c>',
                    $parts['xl/worksheets/sheet1.xml'],
                ),
            );
        }
        $path = $this->archive($parts);
        $first = fn (?string $sheet): array => [
            ($list = Lists::open($path, new ListOptions(sheet: $sheet)))->sheet(),
            iterator_to_array($list->rows(), false)[0]->cell(0),
        ];
        self::assertSame(['Codes', 'Old', 'New'], Lists::open($path)->sheets());
        self::assertSame([['Old', 'bell.com'], ['New', 'peal.com'], ['Codes', '1']], [$first(null), $first('New'), $first('Codes')]);
        $this->expectExceptionMessage('has no sheet “Newer” with rows. It has: Codes, Old, New.');
        $first('Newer');
    }

    public function test_a_cell_of_ten_megabytes_is_refused_and_not_kept(): void
    {
        $this->refused(
            'is longer than',
            self::xlsx(
                '<row r="1"><c r="A1" t="inlineStr"><is><t>Name</t></is></c></row><row r="2"><c r="A2" t="inlineStr"><is><t>'.
                    str_repeat('bell', 2_000_000).
                    '</t></is></c></row>',
            ),
            ZipArchive::CM_STORE,
        );
    }

    public function test_a_cell_beyond_what_the_parser_takes_is_refused(): void
    {
        $this->refused(
            'many megabytes',
            self::xlsx('<row r="1"><c r="A1" t="inlineStr"><is><t>'.str_repeat('bell', 2_621_440).'</t></is></c></row>'),
            ZipArchive::CM_STORE,
        );
    }

    public function test_an_archive_that_unpacks_to_far_more_is_left_closed(): void
    {
        $this->refused(
            'far more than a list',
            self::xlsx('<row r="1"><c r="A1" t="inlineStr"><is><t>'.str_repeat('bell', 2_621_440).'</t></is></c></row>'),
        );
    }

    /** @return iterable<string, array{array<string, string>}> */
    public static function doctypes(): iterable
    {
        $sheet = self::xlsx('<row r="1"><c r="A1" t="inlineStr"><is><t>&a;</t></is></c></row>');
        $entity = '<?xml version="1.0"?><!DOCTYPE x [<!ENTITY a SYSTEM "file:///etc/passwd">]>';
        yield 'an entity in the sheet' => [
            ['xl/worksheets/sheet1.xml' => $entity.substr($sheet['xl/worksheets/sheet1.xml'], 21)] + $sheet,
        ];
        yield 'one in the relations' => [
            ['xl/_rels/workbook.xml.rels' => $entity.substr($sheet['xl/_rels/workbook.xml.rels'], 21)] + $sheet,
        ];
        yield 'one two bytes a letter' => [
            ['xl/worksheets/sheet1.xml' => "\xFF\xFE".mb_convert_encoding($entity.'<worksheet/>', 'UTF-16LE')] + $sheet,
        ];
        yield 'one behind a long comment' => [
            ['xl/worksheets/sheet1.xml' => '<?xml version="1.0"?><!--'.str_repeat(' ', 70_000).'-->'.$entity] + $sheet,
        ];
        yield 'one in a document' => [
            ['content.xml' => $entity.'<a>&a;</a>', 'mimetype' => 'application/vnd.oasis.opendocument.spreadsheet'],
        ];
    }

    /** @param  array<string, string>  $parts */
    #[DataProvider('doctypes')]
    public function test_a_document_type_is_refused(array $parts): void
    {
        $this->refused('document type', $parts);
    }

    public function test_other_archives_and_broken_sheets_get_words(): void
    {
        $this->refused('no spreadsheet that is known', ['names.txt' => 'bell.com']);
        $this->refused('a spreadsheet that is broken', ['xl/worksheets/sheet1.xml' => '<worksheet><sheetData><row'] + self::xlsx(''));
        $this->refused('empty', self::xlsx(''));
        $this->refused('nothing below it', self::xlsx('<row r="1"><c r="A1" t="inlineStr"><is><t>Name</t></is></c></row>'));
        $this->refused('more than a list', array_fill_keys(array_map(strval(...), range(1, 2_001)), 'x'));
    }

    /** The first sheet may be a cover without a line. */
    public function test_the_first_sheet_that_has_rows_is_read(): void
    {
        $path = $this->path();
        $writer = WriterEntityFactory::createXLSXWriter();
        $writer->openToFile($path);
        $writer->addNewSheetAndMakeItCurrent();
        foreach ([['Name', 'Note'], ['bell.com', "two\nlines"], ['', ''], ['oak.org', '+1 555']] as $row) {
            $writer->addRow(WriterEntityFactory::createRowFromArray($row));
        }
        $writer->close();
        $rows = iterator_to_array(Lists::open($path)->rows(), false);
        self::assertSame(
            [[2, 'bell.com', 'two lines'], [4, 'oak.org', '+1 555']],
            array_map(fn ($row): array => [$row->line, ...$row->cells], $rows),
        );
    }

    public function test_damaged_files_give_rows_or_an_error_with_words(): void
    {
        $random = new Randomizer(new Mt19937(26_300));
        $seen = ['rows' => 0, 'errors' => 0];
        foreach (self::spellings() as [$parts]) {
            $whole = (string) file_get_contents($this->archive($parts, ZipArchive::CM_STORE));
            for ($case = 0; $case < 300; $case++) {
                $damaged = $whole;
                for ($hits = $random->getInt(1, 6); $hits > 0; $hits--) {
                    $damaged[$random->getInt(4, strlen($damaged) - 1)] = chr($random->getInt(0, 255));
                }
                $path = $this->path();
                file_put_contents(
                    $path,
                    $random->getInt(0, 9) === 0 ? substr($damaged, 0, $random->getInt(4, strlen($damaged))) : $damaged,
                );
                try {
                    foreach (Lists::open($path)->rows() as $row) {
                        $seen['rows']++;
                        self::assertTrue(mb_check_encoding(implode($row->cells), 'UTF-8'));
                    }
                } catch (ListError $e) {
                    $seen['errors']++;
                    self::assertNotSame('', $e->getMessage());
                }
            }
        }
        self::assertGreaterThan(20, $seen['rows']);
        self::assertGreaterThan(50, $seen['errors']);
    }

    /** @param  array<array-key, string>  $parts */
    private function refused(string $why, array $parts, int $method = ZipArchive::CM_DEFLATE): void
    {
        try {
            foreach (Lists::open($this->archive($parts, $method))->rows() as $row) {
                self::assertLessThan(1_000_000, strlen(implode($row->cells)));
            }
            self::fail('it was read');
        } catch (ListError $e) {
            self::assertStringContainsString($why, $e->getMessage());
        }
    }

    /** @return array<string, string> */
    private static function xlsx(string $rows): array
    {
        return [
            '[Content_Types].xml' => self::TYPES,
            '_rels/.rels' => sprintf(self::RELATIONS, 'officeDocument', 'xl/workbook.xml'),
            'xl/workbook.xml' => '<?xml version="1.0"?><workbook '.
                self::MAIN.
                '><sheets><sheet name="Names" sheetId="1" r:id="rId1"/></sheets></workbook>',
            'xl/_rels/workbook.xml.rels' => str_replace(
                '</Relationships>',
                '<Relationship Id="rId2" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/sharedStrings" '
                    .'Target="sharedStrings.xml"/><Relationship Id="rId3" '
                    .'Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/styles" '
                    .'Target="styles.xml"/></Relationships>',
                sprintf(self::RELATIONS, 'worksheet', 'worksheets/sheet1.xml'),
            ),
            'xl/sharedStrings.xml' => '<?xml version="1.0"?><sst '.
                self::MAIN.
                ' count="2" uniqueCount="2"><si><t>Name</t></si><si><r><t>glocken</t></r><r><t>wärts.com</t></r></si></sst>',
            'xl/styles.xml' => '<?xml version="1.0"?><styleSheet '.
                self::MAIN.
                '><cellXfs count="2"><xf numFmtId="0"/><xf numFmtId="14" applyNumberFormat="1"/></cellXfs></styleSheet>',
            'xl/worksheets/sheet1.xml' => '<?xml version="1.0"?><worksheet '.self::MAIN.'><sheetData>'.$rows.'</sheetData></worksheet>',
        ];
    }

    /** @return array<string, string> */
    private static function ods(string $rows): array
    {
        return [
            'mimetype' => 'application/vnd.oasis.opendocument.spreadsheet',
            'content.xml' => '<?xml version="1.0"?><office:document-content '
                .'xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" '
                .'xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" '
                .'xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0" '
                .'office:version="1.3"><office:automatic-styles/><office:body><office:spreadsheet><table:table table:name="Names">'.
                $rows.
                '</table:table></office:spreadsheet></office:body></office:document-content>',
        ];
    }

    /** @param  array<array-key, string>  $parts */
    private function archive(array $parts, int $method = ZipArchive::CM_DEFLATE): string
    {
        $path = $this->path();
        $archive = new ZipArchive();
        self::assertTrue($archive->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE));
        foreach ($parts as $name => $content) {
            $archive->addFromString((string) $name, $content);
            $archive->setCompressionName((string) $name, $method);
        }
        $archive->close();

        return $path;
    }

    private function path(): string
    {
        return $this->files[] = (string) tempnam(sys_get_temp_dir(), 'acre-sheet-');
    }
}
