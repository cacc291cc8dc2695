<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Time\Instant;
use Acre\Core\Title\Head;
use Acre\Wire\Stamp\StampQuery;
use InvalidArgumentException;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** Receipts, held against OpenSSL: its signature (RFC 8032), and the request to stamp it (RFC 3161). */
final class ReceiptReferenceTest extends TestCase
{
    /** Before the 32 bytes of an Ed25519 public key in DER (RFC 8410 §4). */
    private const PUBLIC_KEY = '302a300506032b6570032100';

    private static function receipt(): string
    {
        $head = new Head(Instant::of('2026-11-30T06:31:02Z'), 17, str_repeat('a', 64), null, null, 12, 4057);

        return $head->signed(sodium_crypto_sign_secretkey(sodium_crypto_sign_seed_keypair(str_repeat("\x07", 32))));
    }

    /** @param  list<string>  $command */
    private static function openssl(array $command, string $in = ''): string
    {
        $process = new Process(['openssl', ...$command]);
        $process->setInput($in)->mustRun();

        return $process->getOutput();
    }

    public function test_another_program_verifies_the_signature(): void
    {
        $folder = sys_get_temp_dir().'/acre-receipt-'.bin2hex(random_bytes(6));
        mkdir($folder);
        if (preg_match('/^(.*^key: (\S+)\n)signature: (.*)\n$/sm', self::receipt(), $parts) !== 1) {
            self::fail('The receipt has no key or no signature.');
        }
        [, $text, $key, $signature] = $parts;
        file_put_contents("{$folder}/text", $text);
        file_put_contents("{$folder}/signature", base64_decode($signature, true));
        file_put_contents("{$folder}/key", hex2bin(self::PUBLIC_KEY).base64_decode($key, true));
        $verify = [
            'pkeyutl',
            '-verify',
            '-rawin',
            '-pubin',
            '-keyform',
            'DER',
            '-inkey',
            "{$folder}/key",
            '-sigfile',
            "{$folder}/signature",
            '-in',
            "{$folder}/text",
        ];
        self::assertStringContainsString('Signature Verified Successfully', self::openssl($verify));
        file_put_contents("{$folder}/text", str_replace('17', '16', $text));
        $changed = new Process(['openssl', ...$verify]);
        self::assertNotSame(0, $changed->run());
        array_map(unlink(...), ["{$folder}/text", "{$folder}/signature", "{$folder}/key"]);
        rmdir($folder);
    }

    public function test_another_program_reads_the_request_and_would_have_written_it(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'acre-receipt-');
        file_put_contents($file, self::receipt());
        self::assertSame(
            bin2hex(self::openssl(['ts', '-query', '-data', $file, '-sha256', '-cert', '-no_nonce'])),
            bin2hex(StampQuery::of(hash('sha256', self::receipt()))),
        );
        file_put_contents($file, StampQuery::of(hash('sha256', self::receipt())));
        $read = self::openssl(['ts', '-query', '-in', $file, '-text']);
        unlink($file);
        self::assertStringContainsString('Version: 1', $read);
        self::assertStringContainsString('Hash Algorithm: sha256', $read);
        self::assertStringContainsString('Certificate required: yes', $read);
    }

    public function test_what_is_no_digest_is_never_stamped(): void
    {
        $this->expectException(InvalidArgumentException::class);
        StampQuery::of(str_repeat('A', 64));
    }
}
