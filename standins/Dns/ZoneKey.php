<?php

declare(strict_types=1);

namespace Standin\Dns;

use Acre\Wire\Dns\Data\Dnskey;
use Acre\Wire\Dns\Data\Ds;
use Acre\Wire\Dns\Name;
use OpenSSLAsymmetricKey;
use RuntimeException;
use Standin\Store;

/** The one key of a zone, with which all of it is signed. The same each time the world begins, but for RSA's, which are kept. */
final readonly class ZoneKey
{
    public const RSA = 8;

    public const P256 = 13;

    public const P384 = 14;

    public const ED25519 = 15;

    /** Zone key, and secure entry point (RFC 4034 §2.1.1, RFC 3757). */
    private const FLAGS = 257;

    private const SHA256 = 2;

    /** @param  string  $secret  of Ed25519 only */
    private function __construct(
        private int $algorithm,
        private string $public,
        private ?OpenSSLAsymmetricKey $private,
        private string $secret,
    ) {
    }

    /** @param  int  $turn  which of its keys, where it had several */
    public static function of(string $zone, int $algorithm, int $turn, Store $store): self
    {
        $seed = hash('sha512', "{$zone}/{$algorithm}/{$turn}", true);

        return match ($algorithm) {
            self::RSA => self::rsa("zone key {$zone} {$turn}", $store),
            self::P256 => self::curve($algorithm, 'prime256v1', substr($seed, 0, 32)),
            // Below the order of the curve, whatever the seed.
            self::P384 => self::curve($algorithm, 'secp384r1', "\x7f".substr($seed, 0, 47)),
            self::ED25519 => self::edwards(substr($seed, 0, 32)),
            default => throw new RuntimeException("No zone of this world is signed by algorithm {$algorithm}."),
        };
    }

    private static function rsa(string $called, Store $store): self
    {
        $pem = $store->told($called);
        if ($pem === null) {
            $made = self::made(openssl_pkey_new(['private_key_bits' => 2048, 'private_key_type' => OPENSSL_KEYTYPE_RSA]));
            openssl_pkey_export($made, $pem);
            $store->tell($called, is_string($pem) ? $pem : '');
        }
        $private = self::made(openssl_pkey_get_private(is_string($pem) ? $pem : ''));
        $numbers = self::numbers($private, 'rsa');

        return new self(self::RSA, chr(strlen($numbers['e'])).$numbers['e'].$numbers['n'], $private, '');
    }

    private static function curve(int $algorithm, string $curve, string $secret): self
    {
        $private = self::made(openssl_pkey_new(['ec' => ['curve_name' => $curve, 'd' => $secret]]));
        $numbers = self::numbers($private, 'ec');
        $size = strlen($secret);

        return new self(
            $algorithm,
            str_pad($numbers['x'], $size, "\0", STR_PAD_LEFT).str_pad($numbers['y'], $size, "\0", STR_PAD_LEFT),
            $private,
            '',
        );
    }

    /** @param  non-empty-string  $seed */
    private static function edwards(string $seed): self
    {
        $pair = sodium_crypto_sign_seed_keypair($seed);

        return new self(self::ED25519, sodium_crypto_sign_publickey($pair), null, sodium_crypto_sign_secretkey($pair));
    }

    public function record(): Dnskey
    {
        return new Dnskey(self::FLAGS, 3, $this->algorithm, $this->public);
    }

    public function algorithm(): int
    {
        return $this->algorithm;
    }

    /** RFC 4034 appendix B. */
    public function tag(): int
    {
        $sum = 0;
        foreach (str_split($this->data()) as $place => $byte) {
            $sum += $place % 2 === 0 ? ord($byte) << 8 : ord($byte);
        }

        return ($sum + ($sum >> 16)) & 0xFFFF;
    }

    public function delegate(string $zone): Ds
    {
        return new Ds(
            $this->tag(),
            $this->algorithm,
            self::SHA256,
            hash('sha256', Name::ofHost($zone)->lower()->wire.$this->data(), true),
        );
    }

    /** RFC 3110, RFC 6605 §4, RFC 8080 §4. */
    public function sign(string $bytes): string
    {
        if ($this->private === null) {
            $secret = $this->secret === '' ? throw new RuntimeException('It has no secret.') : $this->secret;

            return sodium_crypto_sign_detached($bytes, $secret);
        }
        $hash = $this->algorithm === self::P384 ? OPENSSL_ALGO_SHA384 : OPENSSL_ALGO_SHA256;
        openssl_sign($bytes, $signature, $this->private, $hash);
        $signature = is_string($signature) ? $signature : '';

        return $this->algorithm === self::RSA ? $signature : self::plain($signature, $this->algorithm === self::P384 ? 48 : 32);
    }

    /** Two numbers of a sequence, one after the other. */
    private static function plain(string $der, int $size): string
    {
        $at = ord($der[1]) >= 0x80 ? 3 : 2;
        $plain = '';
        for ($number = 0; $number < 2; $number++) {
            $length = ord($der[$at + 1]);
            $plain .= str_pad(ltrim(substr($der, $at + 2, $length), "\0"), $size, "\0", STR_PAD_LEFT);
            $at += 2 + $length;
        }

        return $plain;
    }

    private function data(): string
    {
        return pack('nCC', self::FLAGS, 3, $this->algorithm).$this->public;
    }

    private static function made(OpenSSLAsymmetricKey|false $key): OpenSSLAsymmetricKey
    {
        return $key === false ? throw new RuntimeException((string) openssl_error_string()) : $key;
    }

    /** @return array<string, string> */
    private static function numbers(OpenSSLAsymmetricKey $key, string $kind): array
    {
        $details = openssl_pkey_get_details($key);
        $numbers = $details === false ? null : $details[$kind] ?? null;

        $found = [];
        foreach (is_array($numbers) ? $numbers : [] as $which => $number) {
            if (is_string($number)) {
                $found[(string) $which] = $number;
            }
        }

        return $found;
    }
}
