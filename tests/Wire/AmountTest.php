<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Lists\Amount;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Amounts as lists write them: points and commas by the custom of the country. Common practice. */
final class AmountTest extends TestCase
{
    #[TestWith(['12', '12.00', null])]
    #[TestWith(['12.5', '12.50', null])]
    #[TestWith(['12,50', '12.50', null])]
    #[TestWith(['1,234.50', '1234.50', null])]
    #[TestWith(['1.234,50', '1234.50', null])]
    #[TestWith(['1.234', '1234.00', null])]
    #[TestWith(['1,234,567', '1234567.00', null])]
    #[TestWith(["1'234.5", '1234.50', null])]
    #[TestWith(["1\u{202F}234,50\u{A0}€", '1234.50', 'EUR'])]
    #[TestWith(['£9.90', '9.90', 'GBP'])]
    #[TestWith(['chf 9', '9.00', 'CHF'])]
    #[TestWith(['KWD 9.125', '9.125', 'KWD'])]
    #[TestWith(['1,234 GBP', '1234.00', 'GBP'])]
    #[TestWith(['89,00 zł', '89.00', 'PLN'])]
    #[TestWith(['249 Kč', '249.00', 'CZK'])]
    #[TestWith(['US$8.40', '8.40', 'USD'])]
    #[TestWith(['8.40 USD', '8.40', 'USD'])]
    #[TestWith(['¥1,200', '1200.00', 'JPY'])]
    #[TestWith(['Fr. 12.50', '12.50', 'CHF'])]
    #[TestWith(['0', '0.00', null])]
    #[TestWith(['007', '7.00', null])]
    public function test_points_and_commas_are_told_apart(string $written, string $decimal, ?string $currency): void
    {
        $amount = Amount::read($written);
        self::assertNotNull($amount);
        self::assertSame([$decimal, $currency], [$amount->decimal, $amount->currency]);
    }

    /** A sign that several countries have is that of whoever reads the list, where it is one of theirs. */
    #[TestWith(['$8.40', 'AUD', 'AUD'])]
    #[TestWith(['$8.40', 'GBP', 'USD'])]
    #[TestWith(['99 kr', 'SEK', 'SEK'])]
    #[TestWith(['99 kr', 'DKK', 'DKK'])]
    #[TestWith(['¥99', 'CNY', 'CNY'])]
    #[TestWith(['1,250', 'KWD', null])]
    public function test_what_a_sign_means_depends_on_the_reader(string $written, string $usual, ?string $currency): void
    {
        $amount = Amount::read($written, $usual);
        self::assertNotNull($amount);
        self::assertSame($currency, $amount->currency);
        self::assertSame($usual === 'KWD' ? '1.250' : ($written === '$8.40' ? '8.40' : '99.00'), $amount->decimal);
    }

    #[TestWith(['99 kr'])]
    #[TestWith([''])]
    #[TestWith(['free'])]
    #[TestWith(['-5'])]
    #[TestWith(['12.3456'])]
    #[TestWith(['1,23,456'])]
    #[TestWith(['12..5'])]
    #[TestWith(['99999999999'])]
    #[TestWith(['12 months'])]
    public function test_what_is_no_amount_is_not_guessed_at(string $written): void
    {
        self::assertNull(Amount::read($written));
    }
}
