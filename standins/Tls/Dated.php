<?php

declare(strict_types=1);

namespace Standin\Tls;

use OpenSSLAsymmetricKey;
use OpenSSLCertificate;
use RuntimeException;

/** A certificate with other dates, signed anew (RFC 5280 §4.1): whoever makes one here can say for how many days only, from now. */
final class Dated
{
    private const SEQUENCE = "\x30";

    /** ECDSA with SHA-256 (RFC 5758 §3.2), as the keys here are of P-256. */
    private const ALGORITHM = "\x30\x0a\x06\x08\x2a\x86\x48\xce\x3d\x04\x03\x02";

    /**
     * @param  array{int, int}  $span  since when and until when, before 2050
     * @return string PEM
     */
    public static function of(OpenSSLCertificate $certificate, array $span, OpenSSLAsymmetricKey $by): string
    {
        openssl_x509_export($certificate, $pem);
        $der = (string) base64_decode((string) preg_replace('/-----[^-]+-----|\s/', '', is_string($pem) ? $pem : ''), true);
        // Whole: header, then what is signed.
        $signed = self::element(substr($der, self::head($der)));
        $time = "\x17\x0d\\d{12}Z";
        $dates = implode('', array_map(fn (int $at): string => "\x17\x0d".gmdate('ymdHis', $at).'Z', $span));
        $signed = preg_replace("/{$time}{$time}/", $dates, $signed, 1, $count);
        $signature = '';
        $isSigned = is_string($signed) && $count === 1 && openssl_sign($signed, $signature, $by, OPENSSL_ALGO_SHA256);
        if (! $isSigned || ! is_string($signature)) {
            throw new RuntimeException('A certificate could not be dated.');
        }
        $bits = "\0{$signature}";
        $body = $signed.self::ALGORITHM."\x03".self::length(strlen($bits)).$bits;

        return "-----BEGIN CERTIFICATE-----\n"
            .chunk_split(base64_encode(self::SEQUENCE.self::length(strlen($body)).$body), 64, "\n")
            ."-----END CERTIFICATE-----\n";
    }

    /** The first element, its header with it. */
    private static function element(string $der): string
    {
        $head = self::head($der);
        $octets = ord($der[1]) & 0x7F;
        $length = ord($der[1]) < 0x80 ? ord($der[1]) : (int) hexdec(bin2hex(substr($der, 2, $octets)));

        return substr($der, 0, $head + $length);
    }

    private static function head(string $der): int
    {
        return ord($der[1]) < 0x80 ? 2 : 2 + (ord($der[1]) & 0x7F);
    }

    private static function length(int $length): string
    {
        $octets = ltrim(pack('N', $length), "\0");

        return $length < 0x80 ? chr($length) : chr(0x80 | strlen($octets)).$octets;
    }
}
