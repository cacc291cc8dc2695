<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Lists\Cell;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Cells that can't become formulas. The characters: OWASP, "CSV Injection". */
final class CellTest extends TestCase
{
    #[TestWith(['=1+1'])]
    #[TestWith(['+44 20'])]
    #[TestWith(['-12+1'])]
    #[TestWith(['-1-1'])]
    #[TestWith(['-A1'])]
    #[TestWith(['-1,5'])]
    #[TestWith(["-1\n"])]
    #[TestWith(['@sum'])]
    #[TestWith(["'quoted"])]
    #[TestWith(["\tx"])]
    #[TestWith(["\rx"])]
    #[TestWith(["''"])]
    #[TestWith(['='])]
    #[TestWith(['＝1+1'])]
    #[TestWith(['＋44'])]
    #[TestWith(['－1'])]
    #[TestWith(['＠sum'])]
    #[TestWith(['bell;=1+1'])]
    #[TestWith(['bell,"=1+1'])]
    #[TestWith(['bell; ＝cmd'])]
    #[TestWith(["bell\t@sum"])]
    #[TestWith(["'bell;=1"])]
    public function test_what_a_spreadsheet_would_run_gets_one_apostrophe_and_loses_it_again(string $text): void
    {
        self::assertSame("'".$text, Cell::guard($text));
        self::assertSame($text, Cell::plain(Cell::guard($text)));
    }

    #[TestWith([''])]
    #[TestWith(['bell.com'])]
    #[TestWith(['1-2'])]
    #[TestWith(['-12'])]
    #[TestWith(['-9.90'])]
    #[TestWith([' =1'])]
    #[TestWith(['Bell; Foundry, Ltd'])]
    #[TestWith(["Zoë's"])]
    public function test_anything_else_stays_as_it_is(string $text): void
    {
        self::assertSame([$text, $text], [Cell::guard($text), Cell::plain($text)]);
    }

    public function test_every_cell_stands_in_quotes(): void
    {
        self::assertSame("\"bell.com\",\"\",\"a \"\"b\"\"; c\"\r\n", Cell::line(['bell.com', '', 'a "b"; c']));
    }
}
