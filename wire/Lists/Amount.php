<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/** An amount of money as lists write it: `1,234.50`, `1.234,50 €`, `EUR 12,5`, `12`. */
final readonly class Amount
{
    /**
     * Which currencies a sign can mean; of several the first is taken where nobody says otherwise, but for crowns, where it is not known.
     */
    private const SIGNS = [
        '£' => ['GBP'],
        '€' => ['EUR'],
        '$' => ['USD', 'AUD', 'CAD', 'NZD', 'SGD', 'HKD', 'MXN', 'TWD', 'CLP', 'COP', 'ARS'],
        '¥' => ['JPY', 'CNY'],
        '₹' => ['INR'],
        '₽' => ['RUB'],
        '₺' => ['TRY'],
        '₩' => ['KRW'],
        '₪' => ['ILS'],
        '₴' => ['UAH'],
        '฿' => ['THB'],
        '₫' => ['VND'],
        'zł' => ['PLN'],
        'kč' => ['CZK'],
        'ft' => ['HUF'],
        'fr' => ['CHF'],
        'fr.' => ['CHF'],
        'sfr.' => ['CHF'],
        'kr' => ['', 'SEK', 'NOK', 'DKK', 'ISK'],
        'us$' => ['USD'],
        'a$' => ['AUD'],
        'au$' => ['AUD'],
        'c$' => ['CAD'],
        'ca$' => ['CAD'],
        'nz$' => ['NZD'],
        's$' => ['SGD'],
        'hk$' => ['HKD'],
        'mx$' => ['MXN'],
        'r$' => ['BRL'],
        'nt$' => ['TWD'],
    ];

    private const THREE = ['BHD', 'IQD', 'JOD', 'KWD', 'LYD', 'OMR', 'TND'];

    private const SPACE = '\s\x{00A0}\x{202F}';

    private function __construct(public string $decimal, public ?string $currency)
    {
    }

    /**
     * The last point or comma parts the decimals where one or two digits follow it; three are thousands.
     *
     * @param  string|null  $usual  the currency of whoever reads it: what `$` and `kr` mean among theirs
     * @return self|null a decimal with a point, and the currency (ISO 4217) where one is written; null when it is no amount
     */
    public static function read(string $value, ?string $usual = null): ?self
    {
        $sign = '(?:[A-Za-z]{0,3}\p{Sc}|[A-Za-z]{3}|zł|Kč|Ft|kr|S?Fr\.?)';
        $shape =
            '/^(?<before>'.
            $sign.
            ')?['.
            self::SPACE.
            ']*(?<number>\d[\d.,\'’ \x{00A0}\x{202F}]*?)['.
            self::SPACE.
            ']*(?<after>'.
            $sign.
            ')?$/iu';
        if (preg_match($shape, trim($value), $part) !== 1) {
            return null;
        }
        $number = (string) preg_replace('/['.self::SPACE.'\'’]/u', '', $part['number']);
        if (preg_match('/^(?<whole>\d+|\d{1,3}(?:[.,]\d{3})+)(?:[.,](?<decimals>\d{1,2}))?$/D', $number, $read) !== 1) {
            return null;
        }
        $sign = $part['before'] !== '' ? $part['before'] : $part['after'] ?? '';
        $currency = self::currency($sign, $usual);
        if ($sign !== '' && $currency === null) {
            return null;
        }
        // Three digits behind a single point or comma are decimals where the currency has three (ISO 4217).
        if (in_array($currency ?? $usual, self::THREE, true) && preg_match('/^(\d{1,9})[.,](\d{3})$/D', $number, $exact) === 1) {
            return new self(self::whole($exact[1]).'.'.$exact[2], $currency);
        }
        $whole = self::whole(str_replace(['.', ','], '', $read['whole']));

        return strlen($whole) > 9 ? null : new self($whole.'.'.str_pad($read['decimals'] ?? '', 2, '0'), $currency);
    }

    /**
     * @param  string  $sign  `€`, `US$`, `kr`, `EUR`
     * @param  string|null  $usual  which one it means where it can mean several
     * @return string|null three capitals; null: it is no sign of a currency, or nobody knows of which
     */
    public static function currency(string $sign, ?string $usual = null): ?string
    {
        $means = self::SIGNS[mb_strtolower($sign)] ?? [];

        return match (true) {
            $usual !== null && in_array($usual, $means, true) => $usual,
            ($means[0] ?? '') !== '' => $means[0],
            $means === [] && preg_match('/^[A-Za-z]{3}$/D', $sign) === 1 => strtoupper($sign),
            default => null,
        };
    }

    private static function whole(string $digits): string
    {
        $whole = ltrim($digits, '0');

        return $whole === '' ? '0' : $whole;
    }
}
