<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

/** The keys of the DNS in the form that openssl reads (RFC 5280 §4.1.2.7, RFC 3279 §2.3, RFC 5480). */
final class PublicKey
{
    private const INTEGER = "\x02";

    private const BITS = "\x03";

    private const SEQUENCE = "\x30";

    /** rsaEncryption, with no parameters. */
    private const RSA = "\x30\x0d\x06\x09\x2a\x86\x48\x86\xf7\x0d\x01\x01\x01\x05\x00";

    /** id-ecPublicKey on secp256r1. */
    private const P256 = "\x30\x13\x06\x07\x2a\x86\x48\xce\x3d\x02\x01\x06\x08\x2a\x86\x48\xce\x3d\x03\x01\x07";

    /** id-ecPublicKey on secp384r1. */
    private const P384 = "\x30\x10\x06\x07\x2a\x86\x48\xce\x3d\x02\x01\x06\x05\x2b\x81\x04\x00\x22";

    /** Longer exponents no resolver reads; they would cost much time. */
    private const LONGEST_EXPONENT = 8;

    private const LONGEST_MODULUS = 512;

    /** The length of the exponent in one byte, or nought and two; exponent; modulus (RFC 3110 §2). Null: it is none. */
    public static function rsa(string $key): ?string
    {
        $length = strlen($key) < 3 ? 0 : ord($key[0]);
        $head = 1;
        if ($length === 0 && strlen($key) >= 3) {
            $length = (ord($key[1]) << 8) | ord($key[2]);
            $head = 3;
        }
        $modulus = ltrim(substr($key, $head + $length), "\0");
        if ($length < 1 || $length > self::LONGEST_EXPONENT || $modulus === '' || strlen($modulus) > self::LONGEST_MODULUS) {
            return null;
        }
        $numbers = self::integer($modulus).self::integer(substr($key, $head, $length));

        return self::pem(self::RSA, self::der(self::SEQUENCE, $numbers));
    }

    /** A point, its two coordinates after each other (RFC 6605 §4). */
    public static function p256(string $key): ?string
    {
        return strlen($key) === 64 ? self::pem(self::P256, "\x04{$key}") : null;
    }

    public static function p384(string $key): ?string
    {
        return strlen($key) === 96 ? self::pem(self::P384, "\x04{$key}") : null;
    }

    /** From two numbers after each other (RFC 6605 §4) to a sequence of them (RFC 3279 §2.2.3). */
    public static function ecdsaSignature(string $signature): string
    {
        $half = intdiv(strlen($signature), 2);

        return self::der(self::SEQUENCE, self::integer(substr($signature, 0, $half)).self::integer(substr($signature, $half)));
    }

    private static function pem(string $algorithm, string $key): string
    {
        $der = self::der(self::SEQUENCE, $algorithm.self::der(self::BITS, "\0{$key}"));

        return "-----BEGIN PUBLIC KEY-----\n".chunk_split(base64_encode($der), 64, "\n")."-----END PUBLIC KEY-----\n";
    }

    private static function integer(string $bytes): string
    {
        $bytes = ltrim($bytes, "\0");

        return self::der(self::INTEGER, $bytes === '' || ord($bytes[0]) >= 0x80 ? "\0{$bytes}" : $bytes);
    }

    private static function der(string $tag, string $content): string
    {
        $length = strlen($content);
        $size = $length < 0x80 ? chr($length) : ltrim(pack('N', $length), "\0");

        return $tag.($length < 0x80 ? $size : chr(0x80 | strlen($size)).$size).$content;
    }
}
