<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/** An amount of money as lists write it: `1,234.50`, `1.234,50 €`, `EUR 12,5`, `12`. */
final readonly class Amount
{
    private const SIGNS = ['£' => 'GBP', '€' => 'EUR', '$' => 'USD'];

    private const THREE = ['BHD', 'IQD', 'JOD', 'KWD', 'LYD', 'OMR', 'TND'];

    private function __construct(public string $decimal, public ?string $currency)
    {
    }

    /**
     * The last point or comma parts the decimals where one or two digits follow it; three are thousands.
     *
     * @return self|null a decimal with a point, and the currency (ISO 4217) where one is written; null when it is no amount
     */
    public static function read(string $value): ?self
    {
        if (preg_match('/^(?<before>[£€$]|[A-Za-z]{3})?[\s\x{00A0}]*(?<number>\d[\d.,\'’ \x{00A0}\x{202F}]*)(?<after>[£€$]|[A-Za-z]{3})?$/u', trim($value), $part) !== 1) {
            return null;
        }
        $number = (string) preg_replace('/[\s\x{00A0}\x{202F}\'’]/u', '', $part['number']);
        if (preg_match('/^(?<whole>\d+|\d{1,3}(?:[.,]\d{3})+)(?:[.,](?<decimals>\d{1,2}))?$/D', $number, $read) !== 1) {
            return null;
        }
        $sign = $part['before'] !== '' ? $part['before'] : $part['after'] ?? '';
        // Three digits behind a single point or comma are decimals where the currency has three (ISO 4217).
        if (in_array(strtoupper($sign), self::THREE, true) && preg_match('/^(\d{1,9})[.,](\d{3})$/D', $number, $exact) === 1) {
            return new self((ltrim($exact[1], '0') === '' ? '0' : ltrim($exact[1], '0')).'.'.$exact[2], strtoupper($sign));
        }
        $whole = ltrim(str_replace(['.', ','], '', $read['whole']), '0');
        if (strlen($whole) > 9) {
            return null;
        }

        return new self(($whole === '' ? '0' : $whole).'.'.str_pad($read['decimals'] ?? '', 2, '0'), self::SIGNS[$sign] ?? ($sign === '' ? null : strtoupper($sign)));
    }
}
