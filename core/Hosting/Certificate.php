<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

use Acre\Core\Time\Instant;

/** What a web server shows to prove which host it is (RFC 5280). */
final readonly class Certificate
{
    /** Certificates that a server sends, after which nobody reads on. */
    private const LONGEST = 6;

    /**
     * @param  list<string>  $names  it is good for, as it says them: `*.example.org` too
     * @param  string  $issuer  who signed it
     * @param  CertificateFault|null  $fault  null: somebody trusted stands behind it
     */
    public function __construct(
        public array $names,
        public Instant $from,
        public Instant $until,
        public string $issuer,
        public ?CertificateFault $fault,
    ) {
    }

    /**
     * @param  list<string>  $sent  PEM, the server's own first, as it sent them
     * @return self|null null: it can't be read
     */
    public static function read(array $sent, TrustedRoots $roots, Instant $now): ?self
    {
        $own = Issued::of($sent[0] ?? '');

        return $own === null
            ? null
            : new self(
                $own->names,
                $own->from,
                $own->until,
                $own->signer,
                $own->isOwnIssuer() && $roots->called($own->issuer) === [] ? CertificateFault::SelfSigned : self::fault(
                    $own,
                    array_values(array_filter(array_map(Issued::of(...), array_slice($sent, 1, self::LONGEST)))),
                    $roots,
                    $now,
                ),
            );
    }

    /** RFC 9525 §6.3: an asterisk stands for one whole label, and nothing but the names that it lists counts. */
    public function covers(string $host): bool
    {
        $above = (string) strstr($host, '.');
        foreach ($this->names as $name) {
            $name = strtolower(rtrim($name, '.'));
            if ($name === $host || ($above !== '' && $name === "*{$above}" && substr_count($above, '.') > 1)) {
                return true;
            }
        }

        return false;
    }

    /**
     * From the server's own upwards, each signed by the next, to one who is trusted (RFC 5280 §6.1); of several ways one is enough. When
     * browsers gave their trust is not asked: a root's own dates are kept by whoever lists it.
     *
     * @param  array<int, Issued>  $others  that the server sent too
     */
    private static function fault(Issued $one, array $others, TrustedRoots $roots, Instant $now): ?CertificateFault
    {
        $listed = $roots->called($one->issuer);
        foreach ($listed as $root) {
            if ($one->isSignedBy($root)) {
                return null;
            }
        }
        if ($one->isOwnIssuer()) {
            return CertificateFault::Stranger;
        }
        $named = array_filter($others, fn (Issued $other): bool => $other->isCalled($one->issuer));
        $first = $named === [] && $listed === [] ? CertificateFault::Incomplete : CertificateFault::Broken;
        foreach ($named as $place => $other) {
            if ($other->maySign && $one->isSignedBy($other->pem)) {
                $fault = $other->isGoodAt($now)
                    // None stands in a way twice, so every way ends.
                    ? self::fault($other, array_diff_key($others, [$place => true]), $roots, $now)
                    : CertificateFault::SignerLapsed;
                if ($fault === null) {
                    return null;
                }
                $first = $first === CertificateFault::Broken ? $fault : $first;
            }
        }

        return $first;
    }
}
