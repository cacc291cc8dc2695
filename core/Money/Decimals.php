<?php

declare(strict_types=1);

namespace Acre\Core\Money;

/** How many decimals a currency has (ISO 4217, minor units); held against ICU in tests/Reference. */
final class Decimals
{
    /** Of the others, two. */
    private const OTHER = [
        'BIF' => 0,
        'CLP' => 0,
        'DJF' => 0,
        'GNF' => 0,
        'ISK' => 0,
        'JPY' => 0,
        'KMF' => 0,
        'KRW' => 0,
        'PYG' => 0,
        'RWF' => 0,
        'UGX' => 0,
        'UYI' => 0,
        'VND' => 0,
        'VUV' => 0,
        'XAF' => 0,
        'XOF' => 0,
        'XPF' => 0,
        'BHD' => 3,
        'IQD' => 3,
        'JOD' => 3,
        'KWD' => 3,
        'LYD' => 3,
        'OMR' => 3,
        'TND' => 3,
        'CLF' => 4,
        'UYW' => 4,
    ];

    /** @param  string  $currency  three capitals */
    public static function of(string $currency): int
    {
        return self::OTHER[$currency] ?? 2;
    }
}
