<?php

declare(strict_types=1);

namespace Tests\Core\Balance;

use Acre\Core\Balance\Charge;
use Acre\Core\Balance\ChargeOrder;
use Acre\Core\Balance\ChargesToCome;
use Acre\Core\Balance\Credit;
use Acre\Core\Balance\CreditsLeft;
use Acre\Core\Balance\Entry;
use Acre\Core\Balance\EntryKind;
use Acre\Core\Balance\Forecast;
use Acre\Core\Balance\Purse;
use Acre\Core\Balance\TopUp;
use Acre\Core\Balance\WhatIf;
use Acre\Core\Money\Money;
use Acre\Core\Money\MoneyError;
use Acre\Core\Price\Rate;
use Acre\Core\Price\Rates;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A balance run forward through October 2026: who is charged, who is refused, and what is left. */
final class ForecastTest extends TestCase
{
    /** Common practice: a prepaid balance doesn't go below nothing, charges are refused one by one, a later smaller one may pass. */
    public function test_charges_are_refused_one_by_one_and_a_smaller_one_may_still_pass(): void
    {
        $forecast = Forecast::of(
            Purse::balance(Money::of('20.00', 'GBP')),
            [self::charge('b.com', 12, '15.00'), self::charge('a.com', 12, '9.90'), self::charge('c.org', 13, '10.10')],
        );
        self::assertSame(
            ['12 a.com charged 9.90 10.10', '12 b.com refused 15.00 10.10', '13 c.org charged 10.10 0.00'],
            self::told($forecast),
        );
        self::assertSame('b.com', $forecast->firstRefused()?->charge?->name);
        self::assertSame('0.00', $forecast->last()?->decimal());
    }

    /** Common practice: what pays only for some things pays for them first, and what is lost first before what stays. */
    public function test_credits_pay_for_what_they_are_for(): void
    {
        $forecast = Forecast::of(
            Purse::balance(Money::of('5.00', 'GBP'), credits: [
                new Credit(Money::of('8.00', 'GBP')),
                new Credit(Money::of('6.00', 'GBP'), 'renew', ['com'], Instant::of('2026-10-14')),
                new Credit(Money::of('90.00', 'GBP'), 'transfer'),
                new Credit(Money::of('90.00', 'GBP'), saidOn: Instant::of('2026-10-16')),
                new Credit(Money::of('90.00', 'GBP'), suffixes: ['uk']),
            ]),
            [
                self::charge('a.co.uk', 12, '30.00'),
                self::charge('a.com', 12, '4.00'),
                self::charge('b.org', 13, '9.90'),
                self::charge('c.com', 14, '3.00'),
                self::charge('d.com', 15, '0.20'),
            ],
        );
        self::assertSame(
            // A refused one takes nothing; the 2.00 that are for .com alone are lost on the 14th.
            [
                '12 a.co.uk refused 30.00 5.00',
                '12 a.com charged 4.00 5.00',
                '13 b.org charged 9.90 3.10',
                '14 c.com charged 3.00 0.10',
                '15 d.com refused 0.20 0.10',
            ],
            self::told($forecast),
        );
        self::assertSame([0, 400, 800, 0, 0], array_map(fn (Entry $one): int => $one->credited, $forecast->entries));
    }

    /** What lacks is what all charges of a day need, less what credits pay of them; whoever else had it before. */
    public function test_what_is_missing_on_a_day(): void
    {
        $forecast = Forecast::of(
            Purse::balance(Money::of('4.00', 'GBP'), retries: [2], credits: [new Credit(Money::of('7.00', 'GBP'), suffixes: ['com'])]),
            [
                self::charge('z.com', 11, '1.00'),
                self::charge('z.org', 11, '3.00'),
                self::charge('a.com', 12, '9.00'),
                self::charge('b.com', 12, '8.00'),
                self::charge('c.com', 12, '2.00'),
                self::charge('d.com', 13, '5.00'),
            ],
            [new TopUp(Instant::day(2026, 10, 13), Money::of('0.50', 'GBP'))],
        );
        // On the 12th 9 + 8 + 2 against 6 of the credit and 1; on the 13th 5 against 4 and 1.50; on the 14th 17 against the 0.50 left.
        self::assertSame(
            ['0.00', '0.00', '12.00', '0.00', '16.50'],
            array_map(fn (int $day): string => $forecast->missingOn(Instant::day(2026, 10, $day))->decimal(), [10, 11, 12, 13, 14]),
        );
        // Where so much more is paid in before, nothing is refused; where it is a penny less, something is.
        foreach (['12.00' => 0, '11.99' => 1] as $paid => $refused) {
            $carried = Forecast::of(
                Purse::balance(Money::of('1.00', 'GBP'), credits: [new Credit(Money::of('6.00', 'GBP'), suffixes: ['com'])]),
                [self::charge('a.com', 12, '9.00'), self::charge('b.com', 12, '8.00'), self::charge('c.com', 12, '2.00')],
                [new TopUp(Instant::day(2026, 10, 11), Money::of($paid, 'GBP'))],
            );
            self::assertCount($refused, $carried->failures());
        }
    }

    /** What was taken is gone, and what is left can be told. */
    public function test_what_is_left_of_credits(): void
    {
        $left = new CreditsLeft([
            new Credit(Money::of('8.00', 'GBP')),
            new Credit(Money::of('6.00', 'GBP'), 'renew', ['com'], Instant::of('2026-10-14')),
        ]);
        $at = Instant::of('2026-10-12');
        self::assertSame([700, 700], [$left->part('a.com', 'renew', 700, $at), $left->take('a.com', 'renew', 700, $at)]);
        self::assertEquals([new Credit(Money::of('7.00', 'GBP'))], $left->rest());
        self::assertSame([700, 0, 0], [
            $left->take('a.com', 'restore', 900, $at),
            $left->take('a.com', 'renew', 900, $at),
            $left->part('a.com', 'renew', 0, $at),
        ]);
        self::assertSame([], $left->rest());
    }

    /** @return array<string, array{ChargeOrder, list<string>}> */
    public static function orders(): array
    {
        return [
            'what expires first' => [ChargeOrder::Ends, ['c.com', 'a.com', 'b.com']],
            'by name' => [ChargeOrder::Name, ['a.com', 'b.com', 'c.com']],
            'dearest first' => [ChargeOrder::DearestFirst, ['b.com', 'a.com', 'c.com']],
            'cheapest first' => [ChargeOrder::CheapestFirst, ['a.com', 'c.com', 'b.com']],
        ];
    }

    /** @param  list<string>  $names */
    #[DataProvider('orders')]
    public function test_what_falls_on_one_day_goes_in_the_registrars_order(ChargeOrder $order, array $names): void
    {
        $at = Instant::of('2026-10-12');
        $forecast = Forecast::of(
            Purse::balance(Money::of('99.00', 'GBP'), $order),
            [
                new Charge('b.com', $at, Instant::of('2026-10-30'), Money::of('12.00', 'GBP')),
                new Charge('a.com', $at, Instant::of('2026-10-20'), Money::of('5.00', 'GBP')),
                new Charge('c.com', $at->plusDays(0), Instant::of('2026-10-19'), Money::of('5.00', 'GBP')),
            ],
        );
        self::assertSame($names, array_map(fn (Entry $entry): string => $entry->charge->name ?? '', $forecast->entries));
    }

    public function test_a_top_up_comes_before_the_charges_of_its_day_and_a_retry_before_what_is_new(): void
    {
        $forecast = Forecast::of(
            Purse::balance(Money::of('1.00', 'GBP'), retries: [5, 2]),
            [self::charge('a.com', 12, '9.90'), self::charge('b.com', 17, '9.90'), self::charge('c.com', 30, '9.90')],
            [
                new TopUp(Instant::of('2026-10-31'), Money::of('7.00', 'GBP')),
                new TopUp(Instant::of('2026-10-17'), Money::of('9.00', 'GBP')),
            ],
        );
        self::assertSame(
            [
                '12 a.com refused 9.90 1.00 again 14',
                '14 a.com refused 9.90 1.00 again 17',
                '17 top-up 9.00 10.00',
                '17 a.com charged 9.90 0.10',
                '17 b.com refused 9.90 0.10 again 19',
                '19 b.com refused 9.90 0.10 again 22',
                '22 b.com refused 9.90 0.10',
                '30 c.com refused 9.90 0.10 again 01',
                '31 top-up 7.00 7.10',
                '01 c.com refused 9.90 7.10 again 04',
                '04 c.com refused 9.90 7.10',
            ],
            self::told($forecast),
        );
        self::assertSame(['b.com', 'c.com'], array_map(fn (Entry $one): string => $one->charge->name ?? '', $forecast->failures()));
    }

    public function test_a_name_that_was_not_renewed_has_no_later_term(): void
    {
        $forecast = Forecast::of(
            Purse::balance(Money::of('5.00', 'GBP')),
            [self::charge('a.com', 12, '9.90'), self::charge('a.com', 20, '9.90'), self::charge('b.com', 20, '9.90')],
            [new TopUp(Instant::of('2026-10-15'), Money::of('50.00', 'GBP'))],
        );
        self::assertSame(
            ['12 a.com refused 9.90 5.00', '15 top-up 50.00 55.00', '20 b.com charged 9.90 45.10'],
            self::told($forecast),
        );
    }

    /** Common practice: a card on file has an end of its own. */
    public function test_a_card_pays_until_it_expires_and_an_invoice_always(): void
    {
        $charges = [self::charge('a.com', 12, '9.90'), self::charge('b.com', 13, '9.90')];
        $card = Forecast::of(Purse::card('GBP', Instant::of('2026-10-13')), $charges);
        self::assertSame(['12 a.com charged 9.90 -', '13 b.com refused 9.90 -'], self::told($card));
        self::assertNull($card->last());
        self::assertSame([], Forecast::of(Purse::card('GBP', null), $charges)->failures());
        self::assertSame([], Forecast::of(Purse::invoice('GBP'), $charges)->failures());
    }

    public function test_amounts_of_two_currencies_never_add(): void
    {
        $this->expectException(MoneyError::class);
        Forecast::of(Purse::balance(Money::of('50', 'GBP')), [new Charge(
            'a.com',
            Instant::of('2026-10-12'),
            Instant::of('2026-10-12'),
            Money::of('9.90', 'EUR'),
        )]);
    }

    public function test_nothing_to_come_leaves_what_is_there(): void
    {
        self::assertSame('3.00', Forecast::of(Purse::balance(Money::of('3', 'GBP')), [])->last()?->decimal());
        self::assertNull(Forecast::of(Purse::balance(Money::of('3', 'GBP')), [])->firstRefused());
    }

    /** Whatever comes: nothing is lost or made, a balance is never below nothing, and what passes once is not tried again. */
    public function test_the_books_balance(): void
    {
        $random = new Randomizer(new Mt19937(71));
        for ($run = 0; $run < 300; $run++) {
            $charges = $topUps = [];
            for ($i = $random->getInt(0, 12); $i > 0; $i--) {
                $name = 'abcdefgh'[$random->getInt(0, 7)].'.com';
                $charges[] = self::charge($name, $random->getInt(6, 31), (string) $random->getInt(0, 30));
            }
            for ($i = $random->getInt(0, 3); $i > 0; $i--) {
                $topUps[] = new TopUp(Instant::day(2026, 10, $random->getInt(6, 31)), Money::of((string) $random->getInt(0, 50), 'GBP'));
            }
            $holds = $random->getInt(0, 60);
            $retries = array_slice([2, 5, 9], 0, $random->getInt(0, 3));
            $order = ChargeOrder::cases()[$random->getInt(0, 3)];
            $credits = $random->getInt(0, 1) === 0 ? [] : [
                new Credit(Money::of((string) $random->getInt(1, 40), 'GBP'), ends: Instant::day(2026, 10, $random->getInt(6, 31))),
            ];
            $forecast = Forecast::of(Purse::balance(Money::of((string) $holds, 'GBP'), $order, $retries, $credits), $charges, $topUps);
            $left = 100 * $holds;
            $before = 0;
            foreach ($forecast->entries as $entry) {
                $sum = $entry->amount->minor();
                if ($entry->kind === EntryKind::Refused) {
                    self::assertGreaterThan($left, $sum, "run {$run}");
                }
                $left += match ($entry->kind) {
                    EntryKind::Charged => $entry->credited - $sum,
                    EntryKind::Refused => 0,
                    EntryKind::TopUp => $sum,
                };
                self::assertGreaterThanOrEqual(0, $left, "run {$run}");
                self::assertSame($left, $entry->left, "run {$run}");
                self::assertGreaterThanOrEqual($before, $entry->at->toDay()->epoch, "run {$run}");
                $before = $entry->at->toDay()->epoch;
            }
            $count = fn (EntryKind $kind): int => count(array_filter($forecast->entries, fn (Entry $one): bool => $one->kind === $kind));
            self::assertSame(count($topUps), $count(EntryKind::TopUp));
            self::assertLessThanOrEqual(count($charges), $count(EntryKind::Charged) + count($forecast->failures()));
        }
    }

    public function test_terms_to_come_are_charged_ahead_of_each_end(): void
    {
        $of = fn (string $from, string $until, int $lead, int $least = 12): array => array_map(
            fn (Charge $one): string => "{$one->at->date()} {$one->ends->date()} {$one->amount->decimal()}",
            ChargesToCome::of(
                'leap.com',
                Instant::of('2020-02-29'),
                Instant::of('2027-02-28'),
                $lead,
                $least,
                self::rate('9.90'),
                Instant::of($from),
                Instant::of($until),
            )->charges,
        );
        // A name of 29 February comes back to that day in leap years.
        self::assertSame(
            ['2027-01-29 2027-02-28 9.90', '2028-01-30 2028-02-29 9.90', '2029-01-29 2029-02-28 9.90'],
            $of('2026-10-06', '2029-10-06', 30),
        );
        self::assertSame(['2027-02-28 2027-02-28 9.90'], $of('2027-02-28T12:00:00Z', '2028-02-29', 0));
        self::assertSame(['2028-02-29 2028-02-29 9.90'], $of('2027-03-01', '2028-03-01', 0));
        self::assertSame([], $of('2026-10-06', '2027-01-29', 30));
        // Where a registry sells two years at least, each charge is for two.
        self::assertSame(['2027-02-28 2027-02-28 19.80', '2029-02-28 2029-02-28 19.80'], $of('2026-10-06', '2030-01-01', 0, 24));
    }

    public function test_a_price_rise_that_is_known_counts_from_its_day(): void
    {
        $rates = new Rates([
            [Instant::of('2027-01-01'), Instant::of('2028-03-01'), self::rate('9.90')],
            [Instant::of('2028-03-01'), null, self::rate('12.00')],
        ]);
        $found = ChargesToCome::of('a.com', null, Instant::of('2026-12-01'), 0, 12, $rates, Instant::of('2026-10-06'), Instant::of(
            '2029-01-01',
        ));
        self::assertSame(
            ['2027-12-01 9.90', '2028-12-01 12.00'],
            array_map(fn (Charge $one): string => "{$one->at->date()} {$one->amount->decimal()}", $found->charges),
        );
        self::assertSame(1, $found->unpriced, 'of 2026 nobody knows the price');
        self::assertSame(['9.90', '12.00'], [
            $rates->at(Instant::of('2028-02-29T23:59:59Z'))?->net->decimal(),
            $rates->at(Instant::of('2028-03-01T00:00:00Z'))?->net->decimal(),
        ]);
    }

    public function test_when_a_refused_charge_passes_later(): void
    {
        [$paid, $late, $never] = [self::charge('a.com', 12, '1.00'), self::charge('b.com', 12, '9.90'), self::charge('c.com', 12, '90.00')];
        $forecast = Forecast::of(
            Purse::balance(Money::of('5.00', 'GBP'), retries: [3, 5]),
            [$paid, $late, $never],
            [new TopUp(Instant::of('2026-10-16'), Money::of('10.00', 'GBP'))],
        );
        self::assertSame(
            [null, '2026-10-17', null],
            array_map(fn (Charge $one): ?string => $forecast->paidLater($one)?->date(), [$paid, $late, $never]),
        );
    }

    public function test_what_is_charged_ahead_counts_on_its_day_and_at_the_price_of_that_day(): void
    {
        $of = fn (string $ends, bool $isRefused = false, int $least = 12, WhatIf $whatIf = new WhatIf()): array => array_map(
            fn (Charge $one): string => "{$one->at->date()} {$one->amount->decimal()}",
            ChargesToCome::of(
                'a.com',
                null,
                Instant::of($ends),
                30,
                $least,
                self::rate('10.00'),
                Instant::of('2026-10-06'),
                Instant::of('2026-12-01'),
                $whatIf,
                $isRefused,
            )->charges,
        );
        self::assertSame([], $of('2026-12-31'));
        self::assertSame(['2026-11-30 10.00'], $of('2026-12-30'), 'its end lies behind the span, its charge does not');
        self::assertSame(['2026-10-06 10.00'], $of('2026-11-05'));
        self::assertSame([], $of('2026-11-04'), 'charged already');
        self::assertSame(['2026-10-06 10.00'], $of('2026-11-04', isRefused: true), 'refused, and tried again');
        self::assertSame(['2026-10-06 10.00'], $of('2026-10-06', isRefused: true), 'its last day');
        self::assertSame([], $of('2026-10-05', isRefused: true), 'over');
        self::assertSame(['2026-11-30 10.00'], $of('2026-12-30', whatIf: new WhatIf('10', Instant::of('2026-12-01'))));
        self::assertSame(['2026-11-30 11.00'], $of('2026-12-30', whatIf: new WhatIf('10', Instant::of('2026-11-30'))));
        self::assertSame(['2026-11-30 20.00'], $of('2026-12-30', least: 18), 'a year begun is paid');
    }

    public function test_what_could_be_otherwise(): void
    {
        $of = fn (WhatIf $whatIf, string $name = 'a.com'): array => array_map(
            fn (Charge $one): string => "{$one->at->date()} {$one->amount->decimal()}",
            ChargesToCome::of(
                $name,
                null,
                Instant::of('2026-12-01'),
                0,
                12,
                new Rate(Money::of('9.90', 'GBP'), '20'),
                Instant::of('2026-10-06'),
                Instant::of('2029-10-06'),
                $whatIf,
            )->charges,
        );
        self::assertSame(['2026-12-01 11.88', '2027-12-01 11.88', '2028-12-01 11.88'], $of(new WhatIf()));
        // 9.90 and 12.5% are 11.1375, so 11.14; with tax 13.37.
        self::assertSame(
            ['2026-12-01 11.88', '2027-12-01 13.37', '2028-12-01 13.37'],
            $of(new WhatIf('12.5', Instant::of('2027-12-01'))),
        );
        self::assertSame(['2026-12-01 10.69', '2027-12-01 10.69', '2028-12-01 10.69'], $of(new WhatIf('-10')));
        self::assertSame(['2026-12-01 35.64'], $of(new WhatIf(years: 3)));
        self::assertSame([[], 3], [
            $of(new WhatIf(letGo: ['a.com' => true])),
            count($of(new WhatIf(letGo: ['a.com' => true]), 'b.com')),
        ]);
        self::assertTrue((new WhatIf())->isAsToday());
        foreach ([new WhatIf('1'), new WhatIf(letGo: ['a.com' => true]), new WhatIf(years: 2)] as $other) {
            self::assertFalse($other->isAsToday());
        }
    }

    private static function rate(string $net): Rate
    {
        return new Rate(Money::of($net, 'GBP'), '0');
    }

    private static function charge(string $name, int $day, string $amount): Charge
    {
        $at = Instant::day(2026, 10, $day);

        return new Charge($name, $at, $at, Money::of($amount, 'GBP'));
    }

    /** @return list<string> */
    private static function told(Forecast $forecast): array
    {
        return array_map(
            fn (Entry $one): string => implode(' ', array_filter([
                substr($one->at->date(), 8, 2),
                $one->charge === null ? 'top-up' : $one->charge->name.' '.$one->kind->value,
                $one->amount->decimal(),
                $one->after()?->decimal() ?? '-',
                $one->again === null ? '' : 'again '.substr($one->again->date(), 8, 2),
            ], fn (string $part): bool => $part !== '')),
            $forecast->entries,
        );
    }
}
