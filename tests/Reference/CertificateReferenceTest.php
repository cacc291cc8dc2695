<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Hosting\Certificate;
use Acre\Core\Hosting\CertificateFault;
use Acre\Core\Hosting\TrustedRoots;
use Acre\Core\Time\Instant;
use FilesystemIterator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * Chains of certificates and the hosts that they cover, held against `openssl verify -attime` and `openssl x509 -checkhost` (Debian:
 * openssl), over certificates that openssl makes.
 */
final class CertificateReferenceTest extends TestCase
{
    private static string $folder = '';

    public static function setUpBeforeClass(): void
    {
        self::$folder = (string) tempnam(sys_get_temp_dir(), 'acre-chain-');
        unlink(self::$folder);
        mkdir(self::$folder);
        $ca = "basicConstraints=critical,CA:TRUE\nkeyUsage=critical,keyCertSign,cRLSign\n";
        $leaf = "basicConstraints=CA:FALSE\nsubjectAltName=DNS:a.example,DNS:*.b.example,DNS:*.example,DNS:xn--bcher-kva.example\n";
        self::made('root', 'Root', null, $ca, 4_000, 'rsa:2048');
        self::made('other', 'Other Root', null, $ca, 4_000, 'P-256');
        self::made('middle', 'Middle', 'root', $ca, 1_000, 'P-384');
        self::made('upper', 'Upper', 'root', $ca, 1_000, 'P-256');
        self::made('lower', 'Lower', 'upper', $ca, 1_000, 'ed25519');
        self::made('brief', 'Brief', 'root', $ca, 10, 'P-256');
        self::made('unfit', 'Unfit', 'root', "basicConstraints=critical,CA:FALSE\n", 1_000, 'P-256');
        self::made('namesake', 'Middle', 'root', $ca, 1_000, 'P-256');
        self::made('false-root', 'Root', null, $ca, 1_000, 'P-256');
        self::made('leaf-false', 'a.example', 'false-root', $leaf, 90, 'P-256');
        // The same key under a stranger, as those who sign for each other have.
        self::made('crossed', 'Middle', 'other', $ca, 1_000, 'P-384', 'middle');
        self::made('leaf-direct', 'a.example', 'root', $leaf, 90, 'P-256');
        self::made('leaf-middle', 'a.example', 'middle', $leaf, 90, 'rsa:2048');
        self::made('leaf-lower', 'a.example', 'lower', $leaf, 90, 'P-256');
        self::made('leaf-brief', 'a.example', 'brief', $leaf, 90, 'P-256');
        self::made('leaf-unfit', 'a.example', 'unfit', $leaf, 90, 'P-256');
        self::made('leaf-other', 'a.example', 'other', $leaf, 90, 'P-256');
        self::made('leaf-own', 'a.example', null, $leaf, 90, 'P-256');
    }

    public static function tearDownAfterClass(): void
    {
        foreach (new FilesystemIterator(self::$folder) as $file) {
            unlink((string) $file);
        }
        rmdir(self::$folder);
    }

    /** @param  string|null  $key  whose key it has; null: one of its own */
    private static function made(
        string $file,
        string $name,
        ?string $by,
        string $extensions,
        int $days,
        string $kind,
        ?string $key = null,
    ): void {
        $at = self::$folder."/{$file}";
        file_put_contents("{$at}.ext", $extensions);
        $key ??= $file;
        if ($key === $file) {
            self::openssl(match (true) {
                $kind === 'ed25519' => ['genpkey', '-algorithm', 'ed25519', '-out', "{$at}.key"],
                str_starts_with($kind, 'rsa:') => ['genpkey', '-algorithm', 'RSA', '-pkeyopt', 'rsa_keygen_bits:2048', '-out', "{$at}.key"],
                default => ['genpkey', '-algorithm', 'EC', '-pkeyopt', "ec_paramgen_curve:{$kind}", '-out', "{$at}.key"],
            });
        }
        $keyFile = self::$folder."/{$key}.key";
        self::openssl(['req', '-new', '-key', $keyFile, '-subj', "/CN={$name}", '-out', "{$at}.csr"]);
        $signer = $by === null
            ? ['-signkey', $keyFile]
            : ['-CA', self::$folder."/{$by}.pem", '-CAkey', self::$folder."/{$by}.key", '-CAcreateserial'];
        $with = ['-days', (string) $days, '-extfile', "{$at}.ext", '-out', "{$at}.pem"];
        self::openssl(['x509', '-req', '-in', "{$at}.csr", ...$signer, ...$with]);
    }

    /** @param  list<string>  $command */
    private static function openssl(array $command): string
    {
        $process = new Process(['openssl', ...$command]);

        return $process->run() === 0 ? $process->getOutput() : throw new RuntimeException($process->getErrorOutput());
    }

    private static function pem(string $file): string
    {
        return (string) file_get_contents(self::$folder."/{$file}.pem");
    }

    /**
     * What a server sends, days from now, and what we say of its chain; false at the end: openssl says something else.
     *
     * @return iterable<string, array{list<string>, int, CertificateFault|null, 3?: bool}>
     */
    public static function chains(): iterable
    {
        yield 'signed by a root' => [['leaf-direct'], 1, null];
        yield 'with one between' => [['leaf-middle', 'middle'], 1, null];
        yield 'with two between' => [['leaf-lower', 'lower', 'upper'], 1, null];
        yield 'in another order' => [['leaf-lower', 'upper', 'lower'], 1, null];
        yield 'with the root, and others that nobody needs' => [['leaf-middle', 'unfit', 'middle', 'root'], 1, null];
        // openssl takes the first of a name and never goes back; browsers try the others too (RFC 4158 §2.4.2).
        yield 'crossed, the good way second' => [['leaf-middle', 'crossed', 'middle'], 1, null, false];
        yield 'crossed, the good way first' => [['leaf-middle', 'middle', 'crossed', 'other'], 1, null];
        yield 'over' => [['leaf-middle', 'middle'], 91, null];
        yield 'not yet good' => [['leaf-middle', 'middle'], -1, CertificateFault::SignerLapsed];
        yield 'without the one between' => [['leaf-middle'], 1, CertificateFault::Incomplete];
        yield 'without the upper of two' => [['leaf-lower', 'lower'], 1, CertificateFault::Incomplete];
        yield 'self-signed' => [['leaf-own'], 1, CertificateFault::SelfSigned];
        yield 'of a stranger' => [['leaf-other', 'other'], 1, CertificateFault::Stranger];
        yield 'crossed, only the stranger’s way' => [['leaf-middle', 'crossed', 'other'], 1, CertificateFault::Stranger];
        yield 'signed by one of the same name' => [['leaf-middle', 'namesake'], 1, CertificateFault::Broken];
        yield 'signed by one who calls itself a root' => [['leaf-false', 'false-root'], 1, CertificateFault::Stranger];
        yield 'signed by one who calls itself a root, and does not show it' => [['leaf-false'], 1, CertificateFault::Broken];
        yield 'signed by one that may sign none' => [['leaf-unfit', 'unfit'], 1, CertificateFault::Broken];
        yield 'signed by one that is over' => [['leaf-brief', 'brief'], 11, CertificateFault::SignerLapsed];
        yield 'signed by one that is not over yet' => [['leaf-brief', 'brief'], 9, null];
    }

    /** @param  list<string>  $sent */
    #[DataProvider('chains')]
    public function test_a_chain_is_trusted_where_openssl_trusts_it(
        array $sent,
        int $days,
        ?CertificateFault $fault,
        bool $agrees = true,
    ): void {
        $now = Instant::second(time() + $days * 86_400);
        $certificate = Certificate::read(array_map(self::pem(...), $sent), TrustedRoots::of(self::pem('root')), $now);
        self::assertNotNull($certificate);
        self::assertSame($fault, $certificate->fault);
        $untrusted = self::$folder.'/untrusted.txt';
        file_put_contents($untrusted, implode('', array_map(self::pem(...), array_slice($sent, 1))));
        $verify = new Process([
            'openssl',
            'verify',
            '-attime',
            (string) $now->epoch,
            '-CAfile',
            self::$folder.'/root.pem',
            ...count($sent) === 1 ? [] : ['-untrusted', $untrusted],
            self::$folder."/{$sent[0]}.pem",
        ]);
        $isTrusted = $certificate->fault === null && $certificate->from->hasComeAt($now) && ! $certificate->until->isBefore($now);
        self::assertSame($agrees, ($verify->run() === 0) === $isTrusted, $verify->getErrorOutput());
    }

    public function test_it_covers_the_hosts_that_openssl_says(): void
    {
        $certificate = Certificate::read([self::pem('leaf-direct')], TrustedRoots::of(''), Instant::second(time()));
        self::assertNotNull($certificate);
        $hosts = [
            'a.example', 'A.example', 'b.example', 'www.b.example', 'x.www.b.example', 'www.a.example', 'c.example', 'example',
            'xn--bcher-kva.example', 'evil-a.example', 'a.example.org',
        ];
        foreach ($hosts as $host) {
            $said = self::openssl(['x509', '-in', self::$folder.'/leaf-direct.pem', '-noout', '-checkhost', $host]);
            self::assertSame(str_contains($said, 'does match'), $certificate->covers(strtolower($host)), $host);
        }
    }
}
