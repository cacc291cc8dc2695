<?php

declare(strict_types=1);

namespace Tests\Core\Renewal;

use Acre\Core\Balance\PaidFrom;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Money\Money;
use Acre\Core\Movement\Readiness;
use Acre\Core\Movement\Verdict;
use Acre\Core\Price\Offer;
use Acre\Core\Price\Rate;
use Acre\Core\Renewal\Paying;
use Acre\Core\Renewal\Renewal;
use Acre\Core\Renewal\RenewalFinding;
use Acre\Core\Renewal\Restoration;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Given;

/** Whether a name may be renewed, or restored: every case of scenarios.txt and restorations.txt, each with the source of its rule. */
final class RenewalTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> */
    public static function scenarios(): iterable
    {
        return self::cases('scenarios.txt');
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function restorations(): iterable
    {
        return self::cases('restorations.txt');
    }

    /** @return iterable<string, array{string, string, string}> */
    private static function cases(string $file): iterable
    {
        foreach (explode("\n", (string) file_get_contents(__DIR__."/{$file}")) as $number => $line) {
            if ($line !== '' && ! str_starts_with($line, '#')) {
                [$given, $verdict, $found, $source] = array_map(trim(...), explode('|', $line));
                yield ($number + 1).": {$given} ({$source})" => [$given, $verdict, $found];
            }
        }
    }

    #[DataProvider('scenarios')]
    public function test_a_case(string $given, string $verdict, string $found): void
    {
        $this->assertJudged(self::renewal($given)->judge(), $verdict, $found);
    }

    #[DataProvider('restorations')]
    public function test_a_case_of_a_deleted_name(string $given, string $verdict, string $found): void
    {
        $this->assertJudged(self::restoration($given)->judge(), $verdict, $found);
    }

    private function assertJudged(Readiness $readiness, string $verdict, string $found): void
    {
        [$is, $day] = [...explode(' ', $verdict), null];
        self::assertSame($is, $readiness->verdict->value);
        self::assertSame($day, $readiness->from?->date());
        self::assertEqualsCanonicalizing($found === '' ? [] : explode(' ', $found), self::tags($readiness));
    }

    public function test_every_finding_is_among_them(): void
    {
        $found = [];
        foreach ([...self::scenarios(), ...self::restorations()] as [, , $tags]) {
            array_push($found, ...explode(' ', $tags));
        }
        self::assertSame([], array_diff(array_column(RenewalFinding::cases(), 'value'), $found));
    }

    /** Nothing is clear earlier than was said, and from then on it is. */
    public function test_what_is_too_far_ahead_is_clear_from_the_day_that_was_said(): void
    {
        foreach (['years=9 left=500', 'years=10 left=500', 'years=1 created=2020-02-29 ends=2036-02-29',
            'years=10 left=500 created=2020-02-29 ends=2030-02-28'] as $given) {
            $from = self::renewal($given)->judge()->from;
            self::assertNotNull($from, $given);
            $at = fn (Instant $now): Verdict => self::renewal($given, $now->iso())->judge()->verdict;
            self::assertSame(Verdict::ClearFrom, $at($from->plusDays(-1)), $given);
            self::assertSame(Verdict::Clear, $at($from), $given);
        }
    }

    /** RFC 5731 §3.2.3: the term is added to the end; tax on the whole sum, as invoices have it. */
    public function test_its_new_end_and_its_price(): void
    {
        $told = fn (string $given): array => [
            self::renewal($given)->endAfter()?->date(),
            self::renewal($given)->fee()?->decimal(),
            self::renewal($given)->price()?->decimal(),
        ];
        self::assertSame(['2028-11-02', '9.90', '11.88'], $told(''));
        self::assertSame(['2030-11-02', '29.70', '35.64'], $told('years=3'));
        self::assertSame(['2028-02-29', '9.90', '11.88'], $told('created=2020-02-29 ends=2027-02-28'));
        self::assertSame(['2027-09-20', '24.90', '29.88'], $told('ends=2026-09-20 plain=10 late=15'));
        self::assertSame(['2029-11-02', '15.84', '19.01'], $told('years=2 off=20'));
        self::assertSame([null, null, null], $told('ends=none price=none'));
        // Three times 9.99 and 7.7% are 32.28; three times 10.76 would be a penny less or more.
        $rate = new Rate(Money::of('9.99', 'CHF'), '7.7');
        self::assertSame(['32.28', '10.76'], [$rate->gross(3)->decimal(), $rate->gross()->decimal()]);
    }

    public function test_what_it_usually_costs_is_said_beside_an_offer(): void
    {
        $found = self::renewal('years=3 off=20 code=SPRING')->judge()->findings;
        $with = $found[0]->with;
        self::assertInstanceOf(Money::class, $with['usual'] ?? null);
        self::assertSame(['11.88', 'SPRING'], [$with['usual']->decimal(), $with['code'] ?? null]);
        self::assertSame('35.64', self::renewal('years=3 off=20')->usualPrice()?->decimal());
        self::assertSame('59.40', self::renewal('years=3 off=20 ends=2026-09-20 plain=10 late=19.80')->usualPrice()?->decimal());
    }

    /** What its registrar charged instead, before tax. */
    public function test_what_is_paid_where_another_fee_was_charged(): void
    {
        $paid = fn (string $given, string $fee, string $currency = 'GBP'): string => self::renewal($given)
            ->paid(Money::of($fee, $currency))
            ->text();
        self::assertSame(['£11.88', '£6.00', '£29.88'], [
            $paid('', '9.90'),
            $paid('', '5.00'),
            $paid('ends=2026-09-20 plain=10 late=15', '24.90'),
        ]);
        self::assertSame(['€5.00', '£5.00'], [$paid('', '5.00', 'EUR'), $paid('price=none', '5.00')]);
    }

    /** RFC 3915 §3.1: a renewal by itself is taken back with the deletion; that it comes back with the restore is common practice. */
    public function test_the_end_of_a_name_that_is_restored(): void
    {
        $told = fn (string $given): array => [
            self::restoration($given)->endAfter()?->date(),
            self::restoration($given)->fee()?->decimal(),
            self::restoration($given)->price()?->decimal(),
        ];
        self::assertSame(['2027-11-02', '80.00', '96.00'], $told('status=redemptionPeriod'));
        self::assertSame(['2027-08-20', '80.00', '96.00'], $told('status=redemptionPeriod ends=2026-08-20'));
        self::assertSame(['2027-02-28', '80.00', '96.00'], $told('status=redemptionPeriod created=2020-02-29 ends=2025-02-28'));
        self::assertSame([null, null, null], $told('ends=none price=none'));
        self::assertSame('£60.00', self::restoration('')->paid(Money::of('50.00', 'GBP'))->text());
    }

    private static function renewal(string $given, string $now = Given::NOW): Renewal
    {
        $said = self::said($given);

        return new Renewal(
            self::life($said, $now),
            (int) ($said['years'] ?? '1'),
            self::offered($said, self::rate($said['price'] ?? '9.90')),
            self::rate($said['late'] ?? 'none'),
            self::paying($said),
            self::under($said),
        );
    }

    private static function restoration(string $given): Restoration
    {
        $said = self::said($given);

        return new Restoration(self::life($said, Given::NOW), self::rate($said['price'] ?? '80'), self::paying($said), self::under($said));
    }

    /** @return array<string, string> */
    private static function said(string $given): array
    {
        $said = [];
        foreach ($given === '' ? [] : explode(' ', $given) as $part) {
            [$key, $value] = explode('=', $part, 2);
            $said[$key] = $value;
        }

        return $said;
    }

    /** @param  array<string, string>  $said */
    private static function life(array $said, string $now): Lifecycle
    {
        $ends = $said['ends'] ?? '2027-11-02';

        return Given::life(
            $said['name'] ?? 'wickerby-bells.com',
            $said['created'] ?? '2020-11-02',
            $ends === 'none' ? null : $ends,
            Intent::from($said['intent'] ?? 'when_told'),
            isset($said['status']) ? [Status::from($said['status'])] : [],
            terms: new LateTerms(
                (int) ($said['lead'] ?? '0'),
                plainAfter: isset($said['plain']) ? (int) $said['plain'] : null,
            ),
            now: $now,
            deleted: $said['deleted'] ?? null,
        );
    }

    private static function rate(string $price): ?Rate
    {
        return $price === 'none' ? null : new Rate(Money::of($price, 'GBP'), '20');
    }

    /** @param  array<string, string>  $said */
    private static function offered(array $said, ?Rate $rate): ?Rate
    {
        return isset($said['off']) ? $rate?->with([Offer::percent($said['off'], code: $said['code'] ?? null)]) : $rate;
    }

    /** @param  array<string, string>  $said */
    private static function paying(array $said): Paying
    {
        $left = $said['left'] ?? '100.00';

        return new Paying(
            '40718',
            'Skerry',
            ($said['account'] ?? 'ours') === 'ours',
            ($said['told'] ?? 'yes') === 'yes',
            PaidFrom::from($said['paid'] ?? 'balance'),
            $left === 'none' ? null : Money::of($left, 'GBP'),
            isset($said['card']) ? Instant::of($said['card']) : null,
        );
    }

    /** @param  array<string, string>  $said */
    private static function under(array $said): ?Waiting
    {
        return isset($said['under']) ? new Waiting(7, Instant::of('2026-10-12')) : null;
    }

    /** @return list<string> */
    private static function tags(Readiness $readiness): array
    {
        return array_map(fn (Finding $one): string => (string) $one->tag->value, $readiness->findings);
    }
}
