<?php

declare(strict_types=1);

namespace Acre\Wire\Otp;

use SensitiveParameter;

/** One-time codes by the clock (RFC 6238), and secrets as programs that show them take them in (base 32, RFC 4648). */
final class Totp
{
    /** Seconds. */
    public const STEP = 30;

    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /**
     * @param  string  $secret  bytes
     * @param  int  $time  seconds since 1970
     * @param  'sha1'|'sha256'|'sha512'  $hash
     */
    public static function code(#[SensitiveParameter] string $secret, int $time, int $digits = 6, string $hash = 'sha1'): string
    {
        $digest = hash_hmac($hash, pack('J', intdiv($time, self::STEP)), $secret, true);
        $offset = ord($digest[strlen($digest) - 1]) & 0xF;
        $number =
            ((ord($digest[$offset]) & 0x7F) << 24) |
            (ord($digest[$offset + 1]) << 16) |
            (ord($digest[$offset + 2]) << 8) |
            ord($digest[$offset + 3]);

        return str_pad((string) ($number % 10 ** $digits), $digits, '0', STR_PAD_LEFT);
    }

    /**
     * The step that a code is of: this one, the one before or the one after, as clocks differ.
     *
     * @param  int|null  $used  the last step that a code was taken of; none of that step or before it is taken again
     * @return int|null null: the code is wrong, or was used
     */
    public static function step(#[SensitiveParameter] string $secret, #[SensitiveParameter] string $code, int $time, ?int $used): ?int
    {
        $now = intdiv($time, self::STEP);
        $found = null;
        foreach ([$now - 1, $now, $now + 1] as $step) {
            if (hash_equals(self::code($secret, $step * self::STEP), $code) && ($used === null || $step > $used)) {
                $found ??= $step;
            }
        }

        return $found;
    }

    public static function base32(#[SensitiveParameter] string $bytes): string
    {
        $bits = implode(
            '',
            array_map(
                fn (string $byte): string => str_pad(decbin(ord($byte)), 8, '0', STR_PAD_LEFT),
                $bytes === '' ? [] : str_split($bytes),
            ),
        );

        return implode(
            '',
            array_map(
                fn (string $five): string => self::ALPHABET[(int) bindec(str_pad($five, 5, '0'))],
                $bits === '' ? [] : str_split($bits, 5),
            ),
        );
    }

    /** @param  string  $secret  in base 32 */
    public static function address(string $who, string $issuer, #[SensitiveParameter] string $secret): string
    {
        return 'otpauth://totp/'.
            rawurlencode($issuer).
            ':'.
            rawurlencode($who).
            '?'.
            http_build_query(['secret' => $secret, 'issuer' => $issuer], '', '&', PHP_QUERY_RFC3986);
    }
}
