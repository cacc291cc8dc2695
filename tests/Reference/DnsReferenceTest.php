<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\MasterFile;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Record;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Wire\Dns\RecordsTest;

/** Records, messages and zone files held against dnspython (Debian: python3-dnspython). */
final class DnsReferenceTest extends TestCase
{
    /**
     * @param  array<mixed>  $given  what the program finds as `given`
     * @return list<string>
     */
    private static function python(string $program, array $given): array
    {
        $head = "import json, sys, dns.message, dns.name, dns.rdata, dns.rdataclass, dns.rdatatype, dns.zone\n"
            .'given = json.loads('.json_encode(json_encode($given, JSON_THROW_ON_ERROR), JSON_THROW_ON_ERROR).")\n";
        $process = new Process(['/usr/bin/python3', '-'], null, null, $head.$program, 60);
        $process->mustRun();
        $lines = json_decode($process->getOutput(), true, 8, JSON_THROW_ON_ERROR);
        self::assertIsArray($lines);

        return array_map(fn (mixed $line): string => is_string($line) ? $line : '', array_values($lines));
    }

    /** @return list<Record> one of each type */
    private static function records(): array
    {
        $records = [];
        foreach (RecordsTest::records() as [$type, $data]) {
            $records[] = MasterFile::read("a.example. 300 IN {$type} {$data}")->records[0];
        }

        return $records;
    }

    public function test_the_data_of_every_type_is_the_same_bytes(): void
    {
        $records = self::records();
        $theirs = self::python(
            <<<'PY'
            print(json.dumps([
                dns.rdata.from_text(dns.rdataclass.IN, dns.rdatatype.from_text(one[0]), one[1]).to_wire().hex()
                for one in given
            ]))
            PY,
            array_map(fn (Record $record): array => [explode("\t", (string) $record)[3], (string) $record->data], $records),
        );
        foreach ($records as $place => $record) {
            $ours = Packet::data();
            $record->data->write($ours);
            self::assertSame($theirs[$place], bin2hex($ours->bytes), (string) $record);
        }
    }

    /** Ours is read by dnspython, and what it writes of it, in an order of pointers of its own, is read by us. */
    public function test_messages_there_and_back(): void
    {
        foreach (self::records() as $record) {
            $ours = new Message(7, [], true, answers: [$record, $record], isAuthoritative: true);
            $theirs = self::python(
                'print(json.dumps([dns.message.from_wire(bytes.fromhex(given[0]), one_rr_per_rrset=True).to_wire().hex()]))',
                [bin2hex($ours->octets())],
            );
            self::assertEquals($ours, Message::read((string) hex2bin($theirs[0])), (string) $record);
        }
    }

    /** Six hundred generated records in a zone file with everything that may stand in one. */
    public function test_zone_files_are_read_alike(): void
    {
        mt_srand(20261006);
        $file = "\$ORIGIN bells.example.\n\$TTL 1h\n@ IN SOA ns1 it\\.staff ( 2026100601 ; serial\n 2h 1h 2w\n 5m )\n";
        $file .= " NS ns1\n NS ns2.other.\n";
        $file .= "ns1 A 192.0.2.1\n";
        for ($count = 0; $count < 600; $count++) {
            $owner = ["h{$count}", "h{$count}.sub", "\\104{$count}", "w\\.{$count}", "*.w{$count}"][mt_rand(0, 4)];
            // “IN 60”, which RFC 1035 §5.1 allows too, is more than dnspython reads.
            $ttl = ['', '300', '1d', 'IN', '5m IN'][mt_rand(0, 4)];
            $file .= "{$owner} {$ttl} ".[
                'A 192.0.2.'.mt_rand(0, 255),
                'AAAA 2001:db8::'.dechex(mt_rand(0, 65_535)),
                "MX 10 h{$count}",
                'TXT "v=spf1 ; no comment" plain \"q\" ( more'."\n   ) ; comment",
                'CAA 0 issue "ca.example"',
                "SRV 0 5 5060 @\n  HINFO x y",
                'TYPE65280 \# 3 0A0B 0C',
            ][mt_rand(0, 6)]."\n";
        }
        $ours = MasterFile::read($file);
        self::assertSame([], $ours->refused);
        $theirs = self::python(
            <<<'PY'
            zone = dns.zone.from_text(given[0], relativize=False, check_origin=False)
            print(json.dumps(sorted(
                f'{name.to_wire().hex()} {ttl} {int(data.rdtype)} {data.to_wire().hex()}' for name, ttl, data in zone.iterate_rdatas()
            )))
            PY,
            [$file],
        );
        $lines = fn (MasterFile $file): array => array_map(function (Record $record): string {
            $data = Packet::data();
            $record->data->write($data);

            return bin2hex($record->name->wire)." {$record->ttl} {$record->type} ".bin2hex($data->bytes);
        }, $file->records);
        $sorted = $lines($ours);
        sort($sorted);
        self::assertGreaterThan(600, count($sorted));
        self::assertSame($theirs, $sorted);
        // And what we write is, to dnspython, the same zone.
        $again = self::python(
            <<<'PY'
            one, other = (dns.zone.from_text(text, origin='bells.example.', relativize=False, check_origin=False) for text in given)
            print(json.dumps([str(one == other)]))
            PY,
            [$file, (string) $ours],
        );
        self::assertSame(['True'], $again);
    }

    /** What is no name is none to dnspython either. */
    public function test_names_that_are_refused(): void
    {
        $names = ['a..b', '\256', str_repeat('a', 64), str_repeat('a.', 130), 'a.b', '\097', 'a\.b.', str_repeat('a', 63)];
        $theirs = self::python(
            <<<'PY'
            def read(text):
                try:
                    return dns.name.from_text(text).to_wire().hex()
                except Exception:
                    return ''
            print(json.dumps([read(text) for text in given]))
            PY,
            $names,
        );
        foreach ($names as $place => $name) {
            try {
                $ours = bin2hex(Name::of($name)->wire);
            } catch (DnsError) {
                $ours = '';
            }
            self::assertSame($theirs[$place], $ours, $name);
        }
    }
}
