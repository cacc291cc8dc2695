<?php

declare(strict_types=1);

namespace Acre\Wire\Stamp;

use InvalidArgumentException;

/**
 * What a time-stamping service is asked with: RFC 3161 §2.4.1, in DER, of a SHA-256 digest (RFC 5754 §2.2), its certificate wanted with the
 * answer.
 */
final class StampQuery
{
    public const TYPE = 'application/timestamp-query';

    /** SEQUENCE { version 1, messageImprint { { id-sha256, NULL }, OCTET STRING of 32 }, certReq TRUE }. */
    private const BEFORE = '30390201013031300d060960864801650304020105000420';

    private const AFTER = '0101ff';

    /** @param  string  $sha256  64 lower-case hexadecimal digits */
    public static function of(string $sha256): string
    {
        if (preg_match('/^[0-9a-f]{64}$/D', $sha256) !== 1) {
            throw new InvalidArgumentException('That is no SHA-256 digest.');
        }

        return (string) hex2bin(self::BEFORE.$sha256.self::AFTER);
    }
}
