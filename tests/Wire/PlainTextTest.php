<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Text\PlainText;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PlainTextTest extends TestCase
{
    #[TestWith(['Wickerby Bell Foundry', 'Wickerby Bell Foundry'])]
    #[TestWith(["Bell\nFoundry", 'Bell Foundry'])]
    #[TestWith(["Bell\r\n\tFoundry\0", 'Bell   Foundry '])]
    #[TestWith(["Bell\u{85}Foundry\u{2028}Ltd\u{2029}", 'Bell Foundry Ltd '], 'what else breaks lines')]
    #[TestWith(["moc.\u{202E}lleb\u{2066}x\u{2069}\u{200F}", 'moc.llebx'], 'what turns the order of reading about')]
    #[TestWith(["Zoe\u{308} Peal", "Zo\u{EB} Peal"], 'NFC')]
    #[TestWith(["bro\xC3ken\xff", 'bro?ken?'], 'no UTF-8')]
    #[TestWith(["\u{FEFF}Be\u{2060}ll", 'Bell'])]
    #[TestWith(
        ["\u{645}\u{6CC}\u{200C}\u{62E}\u{648}\u{627}\u{647}\u{645}", "\u{645}\u{6CC}\u{200C}\u{62E}\u{648}\u{627}\u{647}\u{645}"],
        'a joiner that spelling needs',
    )]
    public function test_one_line_is_one_line(string $given, string $expected): void
    {
        self::assertSame($expected, PlainText::line($given));
        self::assertSame($expected, PlainText::line($expected), 'twice is the same');
    }

    #[TestWith(["one\r\ntwo\rthree\nfour", "one\ntwo\nthree\nfour"])]
    #[TestWith(["one\u{2028}two\0\t!", "one\ntwo  !"])]
    #[TestWith(["e\u{301}\u{202E}\n", "é\n"])]
    public function test_lines_stay_lines(string $given, string $expected): void
    {
        self::assertSame($expected, PlainText::lines($given));
    }

    public function test_what_is_longer_is_cut_between_characters(): void
    {
        self::assertSame('éé', PlainText::line('ééé', 2));
        self::assertSame("é\n", PlainText::lines("é\né", 2));
    }
}
