<?php

declare(strict_types=1);

namespace Tests\Core\Price;

use Acre\Core\Money\Money;
use Acre\Core\Price\Exchange;
use Acre\Core\Price\Move;
use Acre\Core\Price\Offer;
use Acre\Core\Price\Rate;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;

/** Prices in two currencies compared at a rate that somebody wrote down, by worked examples. */
final class ExchangeTest extends TestCase
{
    private static function exchange(): Exchange
    {
        return new Exchange([
            ['EUR', 'GBP', '0.8', Instant::of('2026-10-01')],
            ['EUR', 'GBP', '0.9', Instant::of('2026-09-01')],
            ['GBP', 'JPY', '190.5', Instant::of('2026-08-01')],
        ]);
    }

    private static function rate(string $net, string $currency = 'GBP', string $tax = '0'): Rate
    {
        return new Rate(Money::of($net, $currency), $tax);
    }

    public function test_a_sum_in_another_currency(): void
    {
        $told = fn (string $sum, string $from, string $to): ?string => self::exchange()->convert(Money::of($sum, $from), $to)?->text();
        self::assertSame('£8.00', $told('10.00', 'EUR', 'GBP'), 'the newest counts');
        self::assertSame('€12.50', $told('10.00', 'GBP', 'EUR'), 'turned round');
        self::assertSame('£10.00', $told('10.00', 'GBP', 'GBP'));
        // A yen has no smaller coin: 9.99 × 190.5 are 1,903.095.
        self::assertSame('1903', self::exchange()->convert(Money::of('9.99', 'GBP'), 'JPY')?->decimal());
        self::assertNull($told('10.00', 'EUR', 'JPY'), 'no rate is made of two others');
        self::assertNull($told('10.00', 'USD', 'GBP'));
        self::assertSame(['0.8', '2026-10-01'], [
            self::exchange()->between('EUR', 'GBP')[0] ?? null,
            (self::exchange()->between('GBP', 'EUR')[1] ?? null)?->date(),
        ]);
    }

    public function test_a_price_with_what_is_offered(): void
    {
        $rate = self::exchange()->rate(self::rate('10.00', 'EUR', '20')->with([Offer::percent('50', isFirstOnly: true)]), 'GBP');
        self::assertSame(['4.00', '12.00', '9.60', '14.40'], [
            $rate?->net()->decimal(),
            $rate?->net(2)->decimal(),
            $rate?->usual()->gross()->decimal(),
            $rate?->gross(2)->decimal(),
        ]);
        self::assertNull(self::exchange()->rate(self::rate('10.00', 'USD'), 'GBP'));
        $pounds = self::rate('10.00');
        self::assertSame($pounds, self::exchange()->rate($pounds, 'GBP'));
    }

    /** Three years: privacy counts only where both have a price for it. */
    public function test_privacy_beside_a_move(): void
    {
        $move = fn (?Rate $here, ?Rate $there): array => [
            Move::of(self::rate('10'), self::rate('8'), self::rate('9'), 1, 3, $here, $there)?->stays->decimal(),
            Move::of(self::rate('10'), self::rate('8'), self::rate('9'), 1, 3, $here, $there)?->moves->decimal(),
        ];
        self::assertSame(['30.00', '26.00'], $move(null, null));
        self::assertSame(['30.00', '41.00'], $move(self::rate('0'), self::rate('5')));
        self::assertSame(['45.00', '26.00'], $move(self::rate('5'), self::rate('0')));
        self::assertSame([['30.00', '26.00'], ['30.00', '26.00']], [$move(self::rate('5'), null), $move(null, self::rate('5'))]);
        self::assertSame([null, null], $move(self::rate('5'), self::rate('5', 'EUR')));
    }
}
