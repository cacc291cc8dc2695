<?php

declare(strict_types=1);

namespace Tests\Wire\Dns;

use Acre\Wire\Dns\MasterFile;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RefusedLine;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class MasterFileTest extends TestCase
{
    /** The example of RFC 1035 §5.3, with $TTL as RFC 2308 §4 adds it (typed from memory; the published texts are read in Reference). */
    private const PUBLISHED = <<<'ZONE'
        $TTL 1d
        @   IN  SOA     VENERA      Action\.domains (
                                         20     ; SERIAL
                                         7200   ; REFRESH
                                         600    ; RETRY
                                         3600000; EXPIRE
                                         60)    ; MINIMUM

                NS      A.ISI.EDU.
                NS      VENERA
                NS      VAXA
                MX      10      VENERA
                MX      20      VAXA

        A       A       26.3.0.103

        VENERA  A       10.1.0.52
                A       128.9.0.32
        ZONE;

    public function test_the_published_example(): void
    {
        $file = MasterFile::read(self::PUBLISHED, Name::of('ISI.EDU'));
        self::assertSame([], $file->refused);
        self::assertSame(
            [
                'ISI.EDU. 86400 IN SOA VENERA.ISI.EDU. Action\.domains.ISI.EDU. 20 7200 600 3600000 60',
                'ISI.EDU. 86400 IN NS A.ISI.EDU.',
                'ISI.EDU. 86400 IN NS VENERA.ISI.EDU.',
                'ISI.EDU. 86400 IN NS VAXA.ISI.EDU.',
                'ISI.EDU. 86400 IN MX 10 VENERA.ISI.EDU.',
                'ISI.EDU. 86400 IN MX 20 VAXA.ISI.EDU.',
                'A.ISI.EDU. 86400 IN A 26.3.0.103',
                'VENERA.ISI.EDU. 86400 IN A 10.1.0.52',
                'VENERA.ISI.EDU. 86400 IN A 128.9.0.32',
            ],
            self::lines($file),
        );
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function files(): iterable
    {
        yield 'name and time of the line before' => [
            "a 60 IN A 192.0.2.1\n\tTXT x",
            [
                'a.example. 60 IN A 192.0.2.1',
                'a.example. 60 IN TXT "x"',
            ],
        ];
        yield 'any order, any case' => [
            "a IN 60 A 192.0.2.1\nb in 1h30m aaaa 2001:DB8:0::1",
            [
                'a.example. 60 IN A 192.0.2.1',
                'b.example. 5400 IN AAAA 2001:db8::1',
            ],
        ];
        yield '$TTL comes before the time of the line before' => [
            "\$TTL 60\na 5 A 192.0.2.1\nb A 192.0.2.2",
            [
                'a.example. 5 IN A 192.0.2.1',
                'b.example. 60 IN A 192.0.2.2',
            ],
        ];
        yield '$ORIGIN' => [
            "\$TTL 1\n\$ORIGIN sub\na A 192.0.2.1\n\$ORIGIN other.\n@ A 192.0.2.2",
            [
                'a.sub.example. 1 IN A 192.0.2.1',
                'other. 1 IN A 192.0.2.2',
            ],
        ];
        yield 'the minimum, where nothing else says it' => [
            "@ SOA n h 1 2 3 4 77\na A 192.0.2.1",
            [
                'example. 77 IN SOA n.example. h.example. 1 2 3 4 77',
                'a.example. 77 IN A 192.0.2.1',
            ],
        ];
        yield 'parentheses, comments, quotes' => [
            "a 1 TXT ( \"b;(\" ; note\n c \"d e\" )\nb 1 A 192.0.2.1",
            [
                'a.example. 1 IN TXT "b;(" "c" "d e"',
                'b.example. 1 IN A 192.0.2.1',
            ],
        ];
        yield 'a comment without a blank, and CRLF' => [
            "a 1 TXT v=1;note\r\nb 1 A 192.0.2.1\r\n",
            [
                'a.example. 1 IN TXT "v=1"',
                'b.example. 1 IN A 192.0.2.1',
            ],
        ];
        yield 'escapes outside quotes' => ['a 1 TXT v=1\\;b\\"', ['a.example. 1 IN TXT "v=1;b\""']];
        yield 'a byte order mark, empty lines' => ["\u{FEFF}a 1 A 192.0.2.1\n\n   ; nothing\n;\n", ['a.example. 1 IN A 192.0.2.1']];
        yield 'names that look like something else' => [
            "1 2 A 192.0.2.1\nin 1 A 192.0.2.2\n1h 3 A 192.0.2.3",
            [
                '1.example. 2 IN A 192.0.2.1',
                'in.example. 1 IN A 192.0.2.2',
                '1h.example. 3 IN A 192.0.2.3',
            ],
        ];
        yield 'blanks within digits; a line that is only a digit' => ["a 1 DS 1 8 2 00 11\n 2233", ['a.example. 1 IN DS 1 8 2 0011']];
    }

    /** @param  list<string>  $expected */
    #[DataProvider('files')]
    public function test_what_is_read(string $text, array $expected): void
    {
        self::assertSame($expected, self::lines(MasterFile::read($text, Name::of('example'))));
    }

    #[TestWith(['a A 192.0.2.1', 'time to live'])]
    #[TestWith([' 1 A 192.0.2.1', 'no name'])]
    #[TestWith(['a 1 A 192.0.2.256', 'IPv4'])]
    #[TestWith(['a 1 AAAA 192.0.2.1', 'IPv6'])]
    #[TestWith(['a 1 A 192.0.2.1 192.0.2.2', 'too many'])]
    #[TestWith(['a 1 A', 'missing'])]
    #[TestWith(['a 1', 'record type is missing'])]
    #[TestWith(['a 1 BELL x', 'no record type'])]
    #[TestWith(['a 1 CH TXT x', 'class CH'])]
    #[TestWith(['a 1 MX x mail', 'number'])]
    #[TestWith(['a 1 TXT "x', 'quotation mark'])]
    #[TestWith(['a 1 TXT x)', 'closed that was not opened'])]
    #[TestWith(['a 1 TXT (x', 'not closed'])]
    #[TestWith(['a 1 TXT \300', '000'])]
    #[TestWith(['a 1 DNSKEY 257 3 13 §§', 'Base 64'])]
    #[TestWith(['a 1 DS 1 8 2 ABC', 'hexadecimal'])]
    #[TestWith(['a 1 RRSIG A 8 2 1 20261301000000 20260101000000 1 b x', 'instant'])]
    #[TestWith(['a 1 A \# 5 C000020100', 'more than the fields'])]
    #[TestWith(['a 1 A \# 4 C00002', 'of 4 bytes'])]
    #[TestWith(['a..b 1 A 192.0.2.1', 'label'])]
    #[TestWith(['$INCLUDE other.zone', 'another file'])]
    #[TestWith(['$GENERATE 1-3 a$ A 192.0.2.$', 'no instruction'])]
    #[TestWith(['$TTL never', 'seconds'])]
    public function test_what_is_refused_costs_no_other_line(string $line, string $why): void
    {
        $file = MasterFile::read("{$line}\n", Name::of('example'));
        self::assertSame([], $file->records);
        $file = MasterFile::read("\n{$line}\nz 9 A 192.0.2.9\n", Name::of('example'));
        self::assertSame([2], array_map(fn (RefusedLine $refused): int => $refused->line, $file->refused));
        self::assertSame($line, $file->refused[0]->text);
        self::assertStringContainsString($why, $file->refused[0]->why);
        self::assertSame(str_contains($why, 'not closed') ? [] : ['z.example. 9 IN A 192.0.2.9'], self::lines($file));
    }

    /** What follows a name that can't be read must not be taken for the name's before. */
    public function test_records_of_a_refused_name_are_refused_too(): void
    {
        $file = MasterFile::read("a 1 A 192.0.2.1\nb..c 1 A 192.0.2.2\n  TXT lost", Name::of('example'));
        self::assertSame(['a.example. 1 IN A 192.0.2.1'], self::lines($file));
        self::assertCount(2, $file->refused);
    }

    public function test_written_and_read_again_it_is_the_same(): void
    {
        $file = MasterFile::read(self::PUBLISHED, Name::of('ISI.EDU'));
        self::assertEquals($file, MasterFile::read((string) $file));
        $turned = new MasterFile(array_reverse($file->records), []);
        self::assertStringContainsString("\tSOA\t", (string) strstr((string) $turned, "\n", true), 'The SOA comes first.');
    }

    /** @return list<string> */
    private static function lines(MasterFile $file): array
    {
        return array_map(fn (Record $record): string => strtr((string) $record, "\t", ' '), $file->records);
    }
}
