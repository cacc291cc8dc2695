<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use Acre\Core\Money\Money;
use Acre\Core\Money\MoneyError;
use Acre\Core\Money\Sums;
use PHPUnit\Framework\TestCase;

final class SumsTest extends TestCase
{
    public function test_each_currency_is_added_up_by_itself(): void
    {
        $sums = Sums::of([Money::of('9.90', 'GBP'), null, Money::of('1200', 'JPY'), Money::of('0.15', 'GBP')]);
        self::assertSame(['GBP' => '10.05', 'JPY' => '1200'], array_map(fn (Money $sum): string => $sum->decimal(), $sums));
        self::assertSame([], Sums::of([null]));
    }

    public function test_less_and_more(): void
    {
        [$less, $more] = [Money::of('9.90', 'GBP'), Money::of('10', 'GBP')];
        self::assertSame([-1, 1, 0], [$less->compare($more), $more->compare($less), $more->compare(Money::of('10.00', 'GBP'))]);
        $this->expectException(MoneyError::class);
        $less->compare(Money::of('9.90', 'EUR'));
    }
}
