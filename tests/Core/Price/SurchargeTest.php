<?php

declare(strict_types=1);

namespace Tests\Core\Price;

use Acre\Core\Money\Money;
use Acre\Core\Price\Surcharge;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is asked on top, worked by hand. */
final class SurchargeTest extends TestCase
{
    #[TestWith(['0', null, '9.90', '0.00'])]
    #[TestWith(['15', null, '9.90', '1.49'])]
    #[TestWith(['15', '5.00', '9.90', '6.49'])]
    #[TestWith(['7.5', '0.50', '11.88', '1.39'])]
    #[TestWith(['15', '5.00', '-9.90', '-1.49'])]
    #[TestWith(['0', '5.00', '0.00', '0.00'])]
    public function test_on_what_was_laid_out(string $percent, ?string $each, string $laidOut, string $surcharge): void
    {
        $rule = new Surcharge($percent, $each === null ? null : Money::of($each, 'GBP'));
        self::assertSame($surcharge, $rule->on(Money::of($laidOut, 'GBP'))->decimal());
    }

    public function test_a_fixed_sum_in_another_currency_is_not_added(): void
    {
        self::assertSame('1.00', (new Surcharge('10', Money::of('5', 'GBP')))->on(Money::of('10', 'EUR'))->decimal());
    }
}
