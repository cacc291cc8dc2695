<?php

declare(strict_types=1);

namespace Tests\Wire\Dns;

use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Name;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class NameTest extends TestCase
{
    #[TestWith(['www.bells.example.', "\3www\5bells\7example\0", 'www.bells.example.'])]
    #[TestWith(['www.bells.example', "\3www\5bells\7example\0", 'www.bells.example.'])]
    #[TestWith(['.', "\0", '.'])]
    #[TestWith(['WWW.Bells.example.', "\3WWW\5Bells\7example\0", 'WWW.Bells.example.'])]
    #[TestWith(['*._tcp.a-b.example.', "\1*\4_tcp\3a-b\7example\0", '*._tcp.a-b.example.'])]
    #[TestWith(['john\.doe.example.', "\10john.doe\7example\0", 'john\.doe.example.'])]
    #[TestWith(['a\.', "\2a.\0", 'a\..'])]
    #[TestWith(['a\\\\.b', "\2a\\\1b\0", 'a\\\\.b.'])]
    #[TestWith(['\000\032\255.x', "\3\0 \xff\1x\0", '\000\032\255.x.'])]
    #[TestWith(['\097\$\(\;\@\"', "\6a$(;@\"\0", 'a\$\(\;\@\".'])]
    public function test_text_and_bytes(string $text, string $wire, string $again): void
    {
        $name = Name::of($text);
        self::assertSame($wire, $name->wire);
        self::assertSame($again, (string) $name);
        self::assertSame($wire, Name::of($again)->wire);
    }

    #[TestWith(['', 'empty'])]
    #[TestWith(['a..b', 'a label is empty'])]
    #[TestWith(['.a', 'a label is empty'])]
    #[TestWith(['a\..\\', 'backslash'])]
    #[TestWith(['a\..b..c', 'a label is empty'])]
    #[TestWith(['\256.x', '000 to'])]
    #[TestWith(['\25', 'backslash'])]
    public function test_what_is_no_name_says_why(string $text, string $why): void
    {
        $this->expectException(DnsError::class);
        $this->expectExceptionMessage($why);
        Name::of($text);
    }

    /** RFC 1035 §2.3.4: 63 bytes a label, 255 a name. */
    public function test_limits(): void
    {
        $label = str_repeat('a', 63);
        $longest = "{$label}.{$label}.{$label}.".str_repeat('b', 61);
        self::assertSame(255, strlen(Name::of($longest)->wire));
        foreach (["{$longest}b", "{$label}a.example"] as $tooLong) {
            try {
                Name::of($tooLong);
                self::fail('It was taken.');
            } catch (DnsError $error) {
                self::assertStringContainsString('longer than', $error->getMessage());
                self::assertLessThan(160, strlen($error->getMessage()));
            }
        }
    }

    public function test_origin_completes_what_has_no_last_dot(): void
    {
        $origin = Name::of('bells.example.');
        self::assertSame('www.bells.example.', (string) Name::of('www', $origin));
        self::assertSame('www.', (string) Name::of('www.', $origin));
        self::assertSame('a\..bells.example.', (string) Name::of('a\.', $origin));
    }

    public function test_kinship(): void
    {
        $zone = Name::of('Bells.example');
        self::assertTrue(Name::of('bells.EXAMPLE')->equals($zone));
        self::assertTrue(Name::of('www.bells.example')->isWithin($zone));
        self::assertTrue($zone->isWithin($zone));
        self::assertTrue($zone->isWithin(Name::root()));
        self::assertFalse(Name::of('handbells.example')->isWithin($zone));
        self::assertFalse(Name::of('x\005bells.example')->isWithin($zone), 'a byte that looks like a length');
        self::assertFalse(Name::of('example')->isWithin($zone));
        self::assertSame('example.', (string) $zone->parent());
        self::assertNull(Name::root()->parent());
        self::assertSame('bells.example', $zone->host());
        self::assertSame('', Name::root()->host());
    }

    /** The order of RFC 4034 §6.1, which prints this list. */
    public function test_canonical_order(): void
    {
        $sorted = [
            'example.',
            'a.example.',
            'yljkjljk.a.example.',
            'Z.a.example.',
            'zABC.a.EXAMPLE.',
            'z.example.',
            '\001.z.example.',
            '*.z.example.',
            '\200.z.example.',
        ];
        $names = array_map(Name::of(...), array_reverse($sorted));
        usort($names, fn (Name $a, Name $b): int => $a->compare($b));
        self::assertSame($sorted, array_map(strval(...), $names));
        self::assertSame(0, Name::of('A.example')->compare(Name::of('a.Example')));
    }
}
