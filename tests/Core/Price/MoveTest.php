<?php

declare(strict_types=1);

namespace Tests\Core\Price;

use Acre\Core\Money\Money;
use Acre\Core\Price\Move;
use Acre\Core\Price\Rate;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What a name costs where it is and elsewhere, worked by hand. */
final class MoveTest extends TestCase
{
    /** A transfer of a .com adds a year, and costs about a renewal (common practice); one of a .uk adds none, and is free. */
    #[TestWith([11.40, 9.90, 9.90, 1, 3, '34.20', '29.70', '4.50'])]
    #[TestWith([11.40, 9.90, 9.90, 1, 1, '11.40', '9.90', '1.50'])]
    #[TestWith([8.40, 0.00, 7.20, 0, 3, '25.20', '21.60', '3.60'])]
    #[TestWith([9.90, 9.90, 11.40, 1, 3, '29.70', '32.70', '-3.00'])]
    #[TestWith([9.90, 20.00, 5.00, 1, 1, '9.90', '20.00', '-10.10'])]
    #[TestWith([9.90, 20.00, 5.00, 1, 5, '49.50', '40.00', '9.50'])]
    public function test_over_years(
        float $here,
        float $transfer,
        float $there,
        int $adds,
        int $years,
        string $stays,
        string $moves,
        string $saves,
    ): void {
        $rate = fn (float $net): Rate => new Rate(Money::of(number_format($net, 2, '.', ''), 'GBP'), '0');
        $move = Move::of($rate($here), $rate($transfer), $rate($there), $adds, $years);
        self::assertSame([$stays, $moves, $saves], [
            $move?->stays->decimal(),
            $move?->moves->decimal(),
            $move?->saves()->decimal(),
        ]);
    }

    public function test_each_year_is_taxed_by_itself_and_two_currencies_are_not_compared(): void
    {
        $pounds = new Rate(Money::of('9.99', 'GBP'), '20');
        // 9.99 and 20% are 11.988, so 11.99 a year.
        self::assertSame('35.97', Move::of($pounds, $pounds, $pounds, 0, 3)?->stays->decimal());
        self::assertNull(Move::of($pounds, new Rate(Money::of('9.99', 'EUR'), '20'), $pounds, 0, 3));
        self::assertNull(Move::of($pounds, $pounds, new Rate(Money::of('9.99', 'EUR'), '20'), 0, 3));
    }

    /** Moving and moving back over the same years never saves twice: what one saves the other costs, but for the transfers. */
    public function test_there_and_back(): void
    {
        [$a, $b, $free] = array_map(fn (string $net): Rate => new Rate(Money::of($net, 'GBP'), '0'), ['9.90', '11.40', '0']);
        for ($years = 1; $years <= 10; $years++) {
            $there = Move::of($a, $free, $b, 0, $years)?->saves()->minor();
            $back = Move::of($b, $free, $a, 0, $years)?->saves()->minor();
            self::assertSame(0, (int) $there + (int) $back, (string) $years);
            self::assertSame(150 * $years, $back);
        }
    }
}
