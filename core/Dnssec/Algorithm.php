<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

/** How zones are signed (IANA's registry of DNSSEC algorithm numbers; which to use: RFC 9904). */
enum Algorithm: int
{
    case RsaSha1 = 5;
    case RsaSha1Nsec3 = 7;
    case RsaSha256 = 8;
    case RsaSha512 = 10;
    case EcdsaP256 = 13;
    case EcdsaP384 = 14;
    case Ed25519 = 15;

    /** Whether a signature is one of those bytes by that key (RFC 3110, RFC 5702, RFC 6605, RFC 8080). */
    public function verifies(string $bytes, string $signature, string $key): bool
    {
        return match ($this) {
            self::RsaSha1, self::RsaSha1Nsec3 => self::openssl($bytes, $signature, PublicKey::rsa($key), OPENSSL_ALGO_SHA1),
            self::RsaSha256 => self::openssl($bytes, $signature, PublicKey::rsa($key), OPENSSL_ALGO_SHA256),
            self::RsaSha512 => self::openssl($bytes, $signature, PublicKey::rsa($key), OPENSSL_ALGO_SHA512),
            self::EcdsaP256 => strlen($signature) === 64 &&
                self::openssl($bytes, PublicKey::ecdsaSignature($signature), PublicKey::p256($key), OPENSSL_ALGO_SHA256),
            self::EcdsaP384 => strlen($signature) === 96 &&
                self::openssl($bytes, PublicKey::ecdsaSignature($signature), PublicKey::p384($key), OPENSSL_ALGO_SHA384),
            // PHP's openssl knows no signatures that are made in one go.
            self::Ed25519 => strlen($signature) === SODIUM_CRYPTO_SIGN_BYTES &&
                strlen($key) === SODIUM_CRYPTO_SIGN_PUBLICKEYBYTES &&
                sodium_crypto_sign_verify_detached($signature, $bytes, $key),
        };
    }

    private static function openssl(string $bytes, string $signature, ?string $pem, int $hash): bool
    {
        $key = $pem === null ? false : openssl_pkey_get_public($pem);

        return $key !== false && openssl_verify($bytes, $signature, $key, $hash) === 1;
    }
}
