<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Zone\Comparison;
use Acre\Core\Zone\Entry;
use Acre\Core\Zone\ZoneCopy;
use Acre\Wire\Dns\MasterFile;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RecordType;
use FilesystemIterator;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;

/**
 * Zones as files and zones compared, held against BIND's `named-checkzone` (Debian: bind9-utils) and `ldns-compare-zones` (ldnsutils), over
 * generated zones.
 */
final class ZoneFileReferenceTest extends TestCase
{
    private const ZONES = 40;

    private const ZONE = 'kelp-farm.example';

    private string $folder = '';

    protected function setUp(): void
    {
        $this->folder = (string) tempnam(sys_get_temp_dir(), 'acre-zones-');
        unlink($this->folder);
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        foreach (new FilesystemIterator($this->folder) as $file) {
            unlink((string) $file);
        }
        rmdir($this->folder);
    }

    /** @return list<Entry> */
    private static function generated(Randomizer $random): array
    {
        $zone = self::ZONE;
        $serial = $random->getInt(1, 4_000_000_000);
        $entries = [
            new Entry($zone, 'SOA', 3600, "ns1.{$zone}. hostmaster.{$zone}. {$serial} 7200 3600 1209600 300"),
            new Entry($zone, 'NS', 3600, "ns1.{$zone}."),
            new Entry($zone, 'NS', 3600, 'ns2.elsewhere.example.'),
            new Entry("ns1.{$zone}", 'A', 3600, '192.0.2.1'),
        ];
        for ($count = $random->getInt(0, 12); $count > 0; $count--) {
            $label = ['www', 'mail', '*.wild', '_dmarc', 'a-b', 'xn--mwe-sna', 'deep.er', 'n'][$random->getInt(0, 7)];
            $host = "{$label}{$count}.{$zone}";
            $ttl = [60, 300, 3600, 86_400][$random->getInt(0, 3)];
            $entries[] = match ($random->getInt(0, 9)) {
                0 => new Entry($host, 'A', $ttl, "192.0.2.{$random->getInt(1, 254)}"),
                1 => new Entry($host, 'AAAA', $ttl, '2001:db8::'.dechex($random->getInt(1, 65_535))),
                2 => new Entry($host, 'MX', $ttl, "{$random->getInt(0, 99)} mail.elsewhere.example."),
                3 => new Entry($host, 'TXT', $ttl, '"'.self::text($random).'" "second; \"quoted\" \\\\ back"'),
                4 => new Entry($host, 'SRV', $ttl, "10 5 {$random->getInt(1, 65_535)} sip.elsewhere.example."),
                5 => new Entry($host, 'CAA', $ttl, '0 issue "ca.example"'),
                6 => new Entry($host, 'CNAME', $ttl, "ns1.{$zone}."),
                7 => new Entry($host, 'TYPE65280', $ttl, '\# 3 '.strtoupper(bin2hex($random->getBytes(3)))),
                8 => new Entry($host, 'TLSA', $ttl, '3 1 1 '.strtoupper(bin2hex($random->getBytes(32)))),
                default => new Entry(ltrim($host, '*.'), 'NS', $ttl, 'ns.elsewhere.example.'),
            };
        }

        return $entries;
    }

    private static function text(Randomizer $random): string
    {
        return 'v='.strtr(base64_encode($random->getBytes($random->getInt(1, 150))), '+/', '-_');
    }

    private function file(string $called, ZoneCopy $copy): string
    {
        $path = "{$this->folder}/{$called}.zone";
        file_put_contents($path, $copy->asFile());

        return $path;
    }

    public function test_what_we_write_every_server_loads_and_reads_as_the_same(): void
    {
        $random = new Randomizer(new Mt19937(1035));
        for ($number = 0; $number < self::ZONES; $number++) {
            $copy = ZoneCopy::of(self::ZONE, self::generated($random));
            $path = $this->file('one', $copy);
            $checked = new Process(['named-checkzone', '-i', 'none', '-D', '-o', "{$path}.read", self::ZONE, $path]);
            $checked->run();
            self::assertTrue($checked->isSuccessful(), $checked->getOutput().$checked->getErrorOutput().file_get_contents($path));
            // As BIND writes it, it is to us the same zone.
            $read = MasterFile::read((string) file_get_contents("{$path}.read"), Name::ofHost(self::ZONE));
            self::assertSame([], $read->refused);
            $again = ZoneCopy::of(self::ZONE, array_map(self::entry(...), $read->records));
            self::assertSame([], Comparison::of($copy, $again)->differences);
            self::assertSame(count($copy->entries()), count($again->entries()));
        }
    }

    public function test_what_differs_is_what_another_program_finds(): void
    {
        $random = new Randomizer(new Mt19937(2136));
        for ($number = 0; $number < self::ZONES; $number++) {
            $entries = self::generated($random);
            $others = [...array_slice($entries, 0, 4), ...array_filter(array_slice($entries, 4), fn (): bool => $random->getInt(0, 3) > 0)];
            $others = [...$others, ...array_slice(self::generated($random), 4, $random->getInt(0, 2))];
            [$one, $other] = [ZoneCopy::of(self::ZONE, $entries), ZoneCopy::of(self::ZONE, array_values($others))];
            $asked = new Process(['ldns-compare-zones', '-a', '-Z', $this->file('one', $one), $this->file('other', $other)]);
            $asked->run();
            $said = $asked->getOutput();
            $ours = [];
            foreach (Comparison::of($one, $other)->differences as $difference) {
                foreach (array_diff($difference->before->data ?? [], $difference->after->data ?? []) as $data) {
                    $ours["- {$difference->host} {$difference->type}"] = true;
                }
                foreach (array_diff($difference->after->data ?? [], $difference->before->data ?? []) as $data) {
                    $ours["+ {$difference->host} {$difference->type}"] = true;
                }
            }
            preg_match_all('/^[~+-]([+-])(\S+)\s+\d+\s+IN\s+(\S+)/m', $said, $found, PREG_SET_ORDER);
            $theirs = [];
            foreach ($found as [, $sign, $host, $type]) {
                $theirs["{$sign} ".rtrim($host, '.')." {$type}"] = true;
            }
            ksort($ours);
            ksort($theirs);
            self::assertSame(array_keys($theirs), array_keys($ours), $said);
        }
    }

    private static function entry(Record $record): Entry
    {
        return new Entry($record->name->host(), RecordType::text($record->type), $record->ttl, (string) $record->data);
    }
}
