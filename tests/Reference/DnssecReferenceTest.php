<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\Key;
use Acre\Core\Dnssec\RecordSet;
use Acre\Core\Dnssec\Signature;
use Acre\Core\Dnssec\SignatureFault;
use Acre\Core\Time\Instant;
use Acre\Wire\Dns\Data\Dnskey;
use Acre\Wire\Dns\Data\Ds;
use Acre\Wire\Dns\Data\Rrsig;
use Acre\Wire\Dns\MasterFile;
use Acre\Wire\Dns\Record;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Keys, digests and signatures against the examples that standards print (typed from memory; they verify only as printed). */
final class DnssecReferenceTest extends TestCase
{
    private const RSA_KEY = 'dskey.example.com. 86400 IN DNSKEY 256 3 5 AQOeiiR0GOMYkDshWoSKz9Xz fwJr1AYtsmx3TGkJaNXVbfi/ '
        .'2pHm822aJ5iI9BMzNXxeYCmZ DRD99WYwYqUSdjMmmAphXdvx egXd/M5+X7OrzKBaMbCVdFLU Uh6DhweJBjEVv5f2wwjM9Xzc '
        .'nOf+EPbtG9DMBmADjFDc2w/r ljwvFw==';

    /** RFC 4034 §5.4 and RFC 4509 §2.3: the same key, digested twice. */
    #[TestWith(['60485 5 1 2BB183AF5F22588179A53B0A98631FAD1A292118'])]
    #[TestWith(['60485 5 2 D4B7D520E7BB5F0F67674A0CCEB1E3E0614B93C4F9E99B8383F6A1E4469DA50A'])]
    public function test_tag_and_digest(string $ds): void
    {
        [$owner, $key] = self::key(self::RSA_KEY);
        $delegate = self::delegate("dskey.example.com. 1 IN DS {$ds}");
        self::assertSame(60485, $key->tag());
        self::assertEquals($delegate, Delegate::of($owner, $key, $delegate->digestType));
        self::assertTrue($delegate->names($owner, $key));
        self::assertFalse($delegate->names("\1x{$owner}", $key), 'of another zone');
        self::assertFalse($delegate->names($owner, new Key(384, 3, 5, $key->key)), 'revoked (RFC 5011 §2.1)');
        self::assertFalse($delegate->names($owner, new Key(256, 3, 8, $key->key)), 'of another algorithm');
    }

    /** @return iterable<string, array{string, string, string, string, string}> key, DS, record, signature, an instant within it */
    public static function signed(): iterable
    {
        yield 'ECDSA P-256 (RFC 6605 §6.1)' => [
            'example.net. 3600 IN DNSKEY 257 3 13 '
                .'GojIhhXUN/u4v54ZQqGSnyhWJwaubCvTmeexv7bR6edb krSqQpF64cYbcB7wNcP+e+MAnLr+Wi9xMWyQLc8NAA==',
            '55648 13 2 b4c8c1fe2e7477127b27115656ad6256f424625bf5c1e2770ce6d6e37df61d17',
            'www.example.net. 3600 IN A 192.0.2.1',
            'A 13 3 3600 20100909100439 20100812100439 55648 example.net. '
                .'qx6wLYqmh+l9oCKTN6qIc+bw6ya+KJ8oMz0YP107epXA yGmt+3SNruPFKG7tZoLBLlUzGGus7ZwmwWep666VCw==',
            '2010-09-01T00:00:00Z',
        ];
        yield 'ECDSA P-384 (RFC 6605 §6.2)' => [
            'example.net. 3600 IN DNSKEY 257 3 14 '
                .'xKYaNhWdGOfJ+nPrL8/arkwf2EY3MDJ+SErKivBVSum1 w/egsXvSADtNJhyem5RCOpgQ6K8X1DRSEkrbYQ+OB+v8 '
                .'/uX45NBwY8rp65F6Glur8I/mlVNgF6W/qTI37m40',
            '10771 14 4 72d7b62976ce06438e9c0bf319013cf801f09ecc84b8 d7e9495f27e305c6a9b0563a9b5f4d288405c3008a94 6df983d6',
            'www.example.net. 3600 IN A 192.0.2.1',
            'A 14 3 3600 20100909102025 20100812102025 10771 example.net. /L5hDKIvGDyI1fcARX3z65qrmPsVz73QD1Mr5CEqOiLP '
                .'95hxQouuroGCeZOvzFaxsT8Glr74hbavRKayJNuydCuz WTSSPdz7wnqXL5bdcJzusdnI0RSMROxxwGipWcJm',
            '2010-09-01T00:00:00Z',
        ];
        yield 'Ed25519 (RFC 8080 §6.1)' => [
            'example.com. 3600 IN DNSKEY 257 3 15 l02Woi0iS8Aa25FQkUd9RMzZHJpBoRQwAQEX1SxZJA4=',
            '3613 15 2 3aa5ab37efce57f737fc1627013fee07bdf241bd10f3b1964ab55c78e79a304b',
            'example.com. 3600 IN MX 10 mail.example.com.',
            'MX 15 2 3600 1440021600 1438207200 3613 example.com. '
                .'oL9krJun7xfBOIWcGHi7mag5/hdZrKWw15jPGrHpjQeR AvTdszaPD+QLs3fx8A4M3e23mRZ9VrbpMngwcrqNAg==',
            '2015-08-10T00:00:00Z',
        ];
    }

    #[DataProvider('signed')]
    public function test_signatures_as_printed(string $key, string $ds, string $record, string $signature, string $at): void
    {
        [$zone, $key] = self::key($key);
        self::assertTrue(self::delegate("{$record[0]}. 1 IN DS {$ds}")->names($zone, $key));
        $one = self::record($record);
        $set = new RecordSet($one->name->lower()->wire, $one->type, [$one->canonicalData()]);
        $by = self::signature(explode(' ', $record)[0]." 3600 IN RRSIG {$signature}");
        $now = Instant::of($at);
        self::assertNull($by->check($set, $zone, [new Key(257, 3, $key->algorithm, str_repeat('x', 32)), $key], $now));
        self::assertSame(SignatureFault::Expired, $by->check($set, $zone, [$key], Instant::second($by->until + 1)));
        self::assertSame(SignatureFault::NotYet, $by->check($set, $zone, [$key], Instant::second($by->from - 1)));
        self::assertNull($by->check($set, $zone, [$key], Instant::second($by->until)));
        self::assertSame($by->until, $by->expires($now)->epoch);
        self::assertSame(SignatureFault::NoKey, $by->check($set, $zone, [], $now));
        self::assertSame(SignatureFault::OfAnother, $by->check($set, "\1x\0", [$key], $now));
        self::assertSame(SignatureFault::OfAnother, $by->check(new RecordSet($set->owner, 99, $set->data), $zone, [$key], $now));
        $other = new RecordSet($set->owner, $set->type, [...$set->data, 'more']);
        self::assertSame(SignatureFault::DoesNotVerify, $by->check($other, $zone, [$key], $now));
        self::assertNull($by->check(new RecordSet($set->owner, $set->type, [...$set->data, ...$set->data]), $zone, [$key], $now));
    }

    /** RSA, which no standard above prints: signed by openssl; a wildcard's answer too (RFC 4035 §5.3.2). */
    #[TestWith([8, OPENSSL_ALGO_SHA256])]
    #[TestWith([10, OPENSSL_ALGO_SHA512])]
    #[TestWith([7, OPENSSL_ALGO_SHA1])]
    public function test_rsa_and_wildcards(int $algorithm, int $hash): void
    {
        $pair = openssl_pkey_new(['private_key_bits' => 2048, 'private_key_type' => OPENSSL_KEYTYPE_RSA]);
        self::assertNotFalse($pair);
        $rsa = openssl_pkey_get_details($pair)['rsa'] ?? null;
        self::assertIsArray($rsa);
        self::assertIsString($rsa['e']);
        self::assertIsString($rsa['n']);
        $key = new Key(256, 3, $algorithm, chr(strlen($rsa['e'])).$rsa['e'].$rsa['n']);
        $zone = "\3bel\0";
        $wild = new RecordSet("\1*{$zone}", 1, ["\xc0\0\2\2", "\xc0\0\2\1"]);
        $head = pack('nCCNNNn', 1, $algorithm, 1, 300, 2_000_000_000, 1_700_000_000, $key->tag()).$zone;
        openssl_sign($wild->signed($head, 1, 300), $bytes, $pair, $hash);
        self::assertIsString($bytes);
        $by = new Signature(1, $algorithm, 1, 300, 2_000_000_000, 1_700_000_000, $key->tag(), $zone, $bytes);
        $now = Instant::of('2026-10-06');
        self::assertNull($by->check($wild, $zone, [$key], $now));
        self::assertNull($by->check(new RecordSet("\1b\1a{$zone}", 1, array_reverse($wild->data)), $zone, [$key], $now));
        self::assertSame(SignatureFault::DoesNotVerify, $by->check(new RecordSet($zone, 1, $wild->data), $zone, [$key], $now));
        $odd = new Signature(1, 200, 1, 300, 2_000_000_000, 1_700_000_000, $key->tag(), $zone, $bytes);
        self::assertSame(SignatureFault::UnknownAlgorithm, $odd->check($wild, $zone, [$key], $now));
        // The exponent's length in three bytes is the same key (RFC 3110 §2).
        $long = new Key(256, 3, $algorithm, pack('Cn', 0, strlen($rsa['e'])).$rsa['e'].$rsa['n']);
        $same = new Signature(1, $algorithm, 1, 300, 2_000_000_000, 1_700_000_000, $long->tag(), $zone, $bytes);
        self::assertNull($same->check($wild, $zone, [$long], $now));
    }

    /** @return array{string, Key} its zone, and it */
    private static function key(string $line): array
    {
        $record = self::record($line);
        self::assertInstanceOf(Dnskey::class, $record->data);
        $data = $record->data;

        return [$record->name->lower()->wire, new Key($data->flags, $data->protocol, $data->algorithm, $data->key)];
    }

    private static function delegate(string $line): Delegate
    {
        $data = self::record($line)->data;
        self::assertInstanceOf(Ds::class, $data);

        return new Delegate($data->tag, $data->algorithm, $data->digestType, $data->digest);
    }

    private static function signature(string $line): Signature
    {
        $data = self::record($line)->data;
        self::assertInstanceOf(Rrsig::class, $data);

        return new Signature(
            $data->covered,
            $data->algorithm,
            $data->labels,
            $data->ttl,
            $data->until,
            $data->from,
            $data->tag,
            $data->signer->lower()->wire,
            $data->signature,
        );
    }

    private static function record(string $line): Record
    {
        $file = MasterFile::read($line);
        self::assertSame([], $file->refused);

        return $file->records[0];
    }
}
