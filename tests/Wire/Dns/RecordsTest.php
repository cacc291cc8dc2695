<?php

declare(strict_types=1);

namespace Tests\Wire\Dns;

use Acre\Wire\Dns\Data\Unknown;
use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\MasterFile;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RecordType;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class RecordsTest extends TestCase
{
    private const KEY = 'AwEAAcdJPQ9jIF9iQi+3';

    /** @return iterable<string, array{string, string, string}> type, data, and its bytes in hexadecimal digits */
    public static function records(): iterable
    {
        $host = '03'.bin2hex('ns1').'0362656c00';
        yield 'A' => ['A', '192.0.2.7', 'c0000207'];
        yield 'AAAA' => ['AAAA', '2001:db8::7', '20010db8000000000000000000000007'];
        yield 'NS' => ['NS', 'ns1.bel.', $host];
        yield 'CNAME' => ['CNAME', 'NS1.bel.', '03'.bin2hex('NS1').'0362656c00'];
        yield 'PTR' => ['PTR', 'ns1.bel.', $host];
        yield 'DNAME' => ['DNAME', 'ns1.bel.', $host];
        yield 'SOA' => [
            'SOA',
            'ns1.bel. it.bel. 2026100601 7200 3600 1209600 300',
            "{$host}0269740362656c00".bin2hex(pack('N5', 2026100601, 7200, 3600, 1209600, 300)),
        ];
        yield 'MX' => ['MX', '10 ns1.bel.', "000a{$host}"];
        yield 'null MX' => ['MX', '0 .', '000000'];
        yield 'TXT' => ['TXT', '"v=spf1 -all" "a\"b\\\\c\195\009" ""', '0b'.bin2hex('v=spf1 -all').'07'.bin2hex("a\"b\\c\xc3\t").'00'];
        yield 'SRV' => ['SRV', '0 5 5060 ns1.bel.', "0000000513c4{$host}"];
        yield 'NAPTR' => [
            'NAPTR',
            '100 10 "u" "E2U+sip" "!^.*$!sip:it@bel!" .',
            '0064000a0175'.'07'.bin2hex('E2U+sip').'11'.bin2hex('!^.*$!sip:it@bel!').'00',
        ];
        yield 'DS' => ['DS', '60485 5 1 2BB183AF5F22588179A53B0A98631FAD1A292118', 'ec4505012bb183af5f22588179a53b0a98631fad1a292118'];
        yield 'SSHFP' => ['SSHFP', '4 2 0A0B', '04020a0b'];
        yield 'TLSA' => ['TLSA', '3 1 1 0A0B0C', '0301010a0b0c'];
        yield 'DNSKEY' => ['DNSKEY', '257 3 13 '.self::KEY, '0101030d'.bin2hex((string) base64_decode(self::KEY, true))];
        yield 'RRSIG' => [
            'RRSIG',
            'TYPE65280 13 2 3600 20261120000000 20261021000000 4711 bel. '.self::KEY,
            'ff000d0200000e10'.bin2hex(pack('N2', 1795132800, 1792540800)).'12670362656c00'
                .bin2hex((string) base64_decode(self::KEY, true)),
        ];
        // RFC 4034 §4.3, whose example has these very bits.
        yield 'NSEC' => ['NSEC', 'ns1.bel. A MX RRSIG NSEC TYPE1234', "{$host}0006400100000003041b".str_repeat('00', 26).'20'];
        yield 'NSEC3' => [
            'NSEC3',
            '1 1 12 AABBCCDD 2t7b4g4vsa5smi47k61mv5bv1a22bojr MX DNSKEY NS SOA NSEC3PARAM RRSIG',
            '',
        ];
        yield 'NSEC3PARAM' => ['NSEC3PARAM', '1 0 0 -', '0100000000'];
        yield 'CAA' => ['CAA', '128 issue "ca.example; policy=ev"', '8005'.bin2hex('issue').bin2hex('ca.example; policy=ev')];
        yield 'of no known type' => ['TYPE65280', '\# 3 0A0B0C', '0a0b0c'];
        yield 'of no known type, empty' => ['TYPE65280', '\# 0', ''];
    }

    #[DataProvider('records')]
    public function test_text_bytes_and_back(string $type, string $data, string $hex): void
    {
        $record = self::record("a.example. 300 IN {$type} {$data}");
        $packed = (new Message(7, [], true, answers: [$record]))->octets();
        $again = Message::read($packed)->answers[0];
        self::assertEquals($record, $again);
        self::assertEquals($record, self::record((string) $record));
        if ($hex !== '') {
            $plain = Packet::data();
            $record->data->write($plain);
            self::assertSame($hex, bin2hex($plain->bytes));
            // The same bytes without the type's own fields (RFC 3597 §5).
            self::assertEquals($record, self::record("a.example. 300 IN {$type} \\# ".(strlen($hex) / 2)." {$hex}"));
        }
    }

    /** Cut anywhere, or one byte longer: an error that says where, and nothing else. */
    #[DataProvider('records')]
    public function test_bytes_that_end_early(string $type, string $data): void
    {
        $packed = (new Message(7, [], true, answers: [self::record("a.example. 300 IN {$type} {$data}")]))->octets();
        for ($length = 0; $length < strlen($packed); $length++) {
            try {
                Message::read(substr($packed, 0, $length));
                self::fail("{$length} bytes were read.");
            } catch (DnsError $error) {
                self::assertStringContainsString('at byte', $error->getMessage());
            }
        }
        self::assertEquals(1, count(Message::read("{$packed}x")->answers), 'What comes after the message is no part of it.');
    }

    #[DataProvider('records')]
    public function test_values_that_are_missing_or_too_many(string $type, string $data): void
    {
        $values = explode(' ', $data);
        $fewer = $type === 'TXT' ? '' : (count($values) > 1 ? $values[0] : '');
        $lines = ["a 300 {$type} {$fewer}", "a 300 {$type} {$data} ( "];
        $lines[] = in_array($type, ['TXT', 'NSEC', 'NSEC3'], true) ? "a 300 {$type} " : "a 300 {$type} {$data} §";
        foreach ($lines as $line) {
            if ($type !== 'NSEC' || $line !== $lines[0]) {
                $file = MasterFile::read($line, Name::of('example'));
                self::assertSame([], $file->records, $line);
                self::assertCount(1, $file->refused, $line);
            }
        }
    }

    /** RFC 4034 §6.2: names of the older types in small letters; others as they are (RFC 6840 §5.1). */
    #[TestWith(['MX 10 Mail.Bel.', "\0\x0a\4mail\3bel\0"])]
    #[TestWith(['SRV 0 5 5060 Mail.Bel.', "\0\0\0\5\x13\xc4\4mail\3bel\0"])]
    #[TestWith(['NSEC Mail.Bel. A', "\4Mail\3Bel\0\0\1\x40"])]
    #[TestWith(['TXT "Mail"', "\4Mail"])]
    public function test_canonical_data(string $record, string $expected): void
    {
        self::assertSame($expected, self::record("a. 300 IN {$record}")->canonicalData());
    }

    public function test_every_type_by_name_and_number(): void
    {
        foreach (RecordType::cases() as $type) {
            self::assertSame($type->value, RecordType::number(strtolower($type->name)));
            self::assertSame($type->name, RecordType::text($type->value));
        }
        self::assertSame(1, RecordType::number('TYPE1'));
        self::assertNull(RecordType::number('TYPE65536'));
        self::assertNull(RecordType::number('BELL'));
        self::assertSame('TYPE65280', RecordType::text(65280));
        self::assertSame(Unknown::class, RecordType::dataOf(65280));
    }

    private static function record(string $line): Record
    {
        $file = MasterFile::read($line);
        self::assertSame([], $file->refused);

        return $file->records[0];
    }
}
