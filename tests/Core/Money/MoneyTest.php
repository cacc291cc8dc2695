<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use Acre\Core\Money\Money;
use Acre\Core\Money\MoneyError;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class MoneyTest extends TestCase
{
    #[TestWith(['12.5', 'GBP', '£12.50'])]
    #[TestWith(['7', 'EUR', '€7.00'])]
    #[TestWith(['-41.20', 'GBP', '−£41.20'])]
    #[TestWith(['1200', 'JPY', "JPY\u{00A0}1200"])]
    #[TestWith(['1200.00', 'JPY', "JPY\u{00A0}1200"])]
    #[TestWith(['9.125', 'KWD', "KWD\u{00A0}9.125"])]
    #[TestWith(['9.9', 'KWD', "KWD\u{00A0}9.900"])]
    #[TestWith(['12.50', 'CHF', "CHF\u{00A0}12.50"])]
    public function test_it_is_written_with_its_sign(string $amount, string $currency, string $text): void
    {
        self::assertSame($text, Money::of($amount, $currency)->text());
    }

    #[TestWith(['12,50', 'GBP'])]
    #[TestWith(['12.505', 'GBP'])]
    #[TestWith(['12.5', 'JPY'])]
    #[TestWith(['9.1255', 'KWD'])]
    #[TestWith(['1e3', 'GBP'])]
    #[TestWith(['', 'GBP'])]
    #[TestWith(['12.50', 'gbp'])]
    #[TestWith(['12.50', '£'])]
    public function test_what_is_no_amount_is_refused(string $amount, string $currency): void
    {
        $this->expectException(MoneyError::class);
        Money::of($amount, $currency);
    }

    public function test_two_currencies_never_add(): void
    {
        $this->expectException(MoneyError::class);
        Money::of('1', 'GBP')->plus(Money::of('1', 'EUR'));
    }

    #[TestWith(['9.90', '20', '11.88'])]
    #[TestWith(['0.05', '10', '0.06'])]
    #[TestWith(['10.00', '7.7', '10.77'])]
    public function test_tax_is_rounded_half_up(string $net, string $percent, string $gross): void
    {
        self::assertSame($gross, Money::of($net, 'GBP')->withTax($percent)->decimal());
        self::assertSame(
            ['1093', '9.991'],
            [Money::of('994', 'JPY')->withTax('10')->decimal(), Money::of('9.083', 'KWD')->withTax('10')->decimal()],
        );
    }
}
