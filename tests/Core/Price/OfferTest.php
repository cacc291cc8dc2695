<?php

declare(strict_types=1);

namespace Tests\Core\Price;

use Acre\Core\Money\Money;
use Acre\Core\Money\MoneyError;
use Acre\Core\Price\Move;
use Acre\Core\Price\Offer;
use Acre\Core\Price\Quote;
use Acre\Core\Price\Rate;
use PHPUnit\Framework\TestCase;

/** Offers and quotes, by worked examples. */
final class OfferTest extends TestCase
{
    private static function pounds(string $amount): Money
    {
        return Money::of($amount, 'GBP');
    }

    /** @param  list<Offer>  $offers */
    private static function rate(string $net, string $tax = '20', array $offers = []): Rate
    {
        return (new Rate(self::pounds($net), $tax))->with($offers);
    }

    /** The first year at 1.99, each year after that at 13.90: the bait that a year later costs seven times as much. */
    public function test_an_offer_of_the_first_year(): void
    {
        $rate = self::rate('13.90', '20', [Offer::price(self::pounds('1.99'), isFirstOnly: true)]);
        self::assertSame(['1.99', '2.39'], [$rate->net()->decimal(), $rate->gross()->decimal()]);
        self::assertSame(['29.79', '35.75'], [$rate->net(3)->decimal(), $rate->gross(3)->decimal()]);
        self::assertSame(['13.90', '16.68'], [$rate->usual()->net()->decimal(), $rate->usual()->gross()->decimal()]);
    }

    public function test_a_share_that_is_taken_off(): void
    {
        $rate = self::rate('9.90', '20', [Offer::percent('15')]);
        self::assertSame(['8.42', '25.26'], [$rate->net()->decimal(), $rate->net(3)->decimal()], '8.415 and half a penny up');
        self::assertSame('28.22', self::rate('9.90', '20', [Offer::percent('15', isFirstOnly: true)])->net(3)->decimal());
        self::assertSame('0.00', self::rate('9.90', '20', [Offer::percent('100')])->gross()->decimal());
    }

    public function test_the_cheapest_holds_and_none_that_is_dearer_than_the_list(): void
    {
        $dear = Offer::price(self::pounds('12.00'));
        $cheap = Offer::price(self::pounds('7.00'), code: 'SPRING');
        $rate = self::rate('9.90', '20', [$dear, Offer::percent('10'), $cheap]);
        self::assertSame(['SPRING', '7.00'], [$rate->offer?->code, $rate->net()->decimal()]);
        self::assertNull(self::rate('9.90', '20', [$dear])->offer);
        self::assertNull(self::rate('12.00', '20', [$dear])->offer, 'no offer where it costs the same');
        self::assertNull(self::rate('9.90', '20', [Offer::price(Money::of('1.00', 'EUR'))])->offer, 'nothing is exchanged');
        self::assertSame(self::rate('9.90')->net()->decimal(), self::rate('9.90')->usual()->net()->decimal());
    }

    public function test_a_quote_says_what_is_paid_now_next_year_and_in_the_end(): void
    {
        $first = self::rate('13.90', '20', [Offer::price(self::pounds('1.99'), isFirstOnly: true)]);
        $quote = new Quote($first, 1, self::rate('13.90'), [self::rate('5.00', '0')]);
        self::assertSame(
            ['6.99', '0.40', '7.39', '16.68', '14.29'],
            array_map(fn (Money $sum): string => $sum->decimal(), [
                $quote->net(),
                $quote->tax(),
                $quote->total(),
                $quote->nextYear(),
                $quote->saved(),
            ]),
        );
        // 7.39 and twice 16.68.
        self::assertSame(['7.39', '40.75'], [$quote->over(1)->decimal(), $quote->over(3)->decimal()]);
        $three = new Quote($first, 3, self::rate('13.90', '20', [Offer::percent('50')]));
        self::assertSame(['35.75', '35.75', '69.11'], [
            $three->over(1)->decimal(),
            $three->over(3)->decimal(),
            $three->over(5)->decimal(),
        ], 'what is offered today is over in three years');
        $this->expectException(MoneyError::class);
        new Quote($first, 1, new Rate(Money::of('9.00', 'EUR'), '20'));
    }

    /** What is offered today counts once, whether it stays or moves. */
    public function test_an_offer_is_no_reason_for_the_years_after_it(): void
    {
        $here = self::rate('10.00', '0', [Offer::percent('50')]);
        $there = self::rate('9.00', '0', [Offer::percent('50')]);
        $move = Move::of($here, self::rate('9.00', '0', [Offer::price(self::pounds('1.00'))]), $there, 1, 3);
        self::assertSame(['25.00', '19.00'], [$move?->stays->decimal(), $move?->moves->decimal()]);
    }
}
