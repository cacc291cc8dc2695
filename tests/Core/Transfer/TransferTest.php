<?php

declare(strict_types=1);

namespace Tests\Core\Transfer;

use Acre\Core\Contact\TakesMail;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Money\Money;
use Acre\Core\Movement\ExtraKind;
use Acre\Core\Movement\Leg;
use Acre\Core\Movement\Readiness;
use Acre\Core\Movement\Verdict;
use Acre\Core\Rulebook\MovesBy;
use Acre\Core\Time\Instant;
use Acre\Core\Transfer\Approver;
use Acre\Core\Transfer\Arrival;
use Acre\Core\Transfer\ArrivalsSeen;
use Acre\Core\Transfer\CodeKnown;
use Acre\Core\Transfer\Dispute;
use Acre\Core\Transfer\Gaining;
use Acre\Core\Transfer\Losing;
use Acre\Core\Transfer\ServersKnown;
use Acre\Core\Transfer\Transfer;
use Acre\Core\Transfer\TransferFinding;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Core\Given;

/** Whether a name may go to another registrar: every case of scenarios.txt, each with the source of its rule. */
final class TransferTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> */
    public static function scenarios(): iterable
    {
        foreach (explode("\n", (string) file_get_contents(__DIR__.'/scenarios.txt')) as $number => $line) {
            if ($line !== '' && ! str_starts_with($line, '#')) {
                [$given, $verdict, $found, $source] = array_map(trim(...), explode('|', $line));
                yield ($number + 1).": {$given} ({$source})" => [$given, $verdict, $found];
            }
        }
    }

    #[DataProvider('scenarios')]
    public function test_a_case(string $given, string $verdict, string $found): void
    {
        $readiness = self::transfer($given)->judge();
        [$is, $day] = [...explode(' ', $verdict), null];
        self::assertSame($is, $readiness->verdict->value);
        self::assertSame($day, $readiness->from?->date());
        self::assertEqualsCanonicalizing($found === '' ? [] : explode(' ', $found), self::tags($readiness));
    }

    public function test_every_finding_is_among_them(): void
    {
        $found = [];
        foreach (self::scenarios() as [, , $tags]) {
            array_push($found, ...explode(' ', $tags));
        }
        self::assertSame([], array_diff(array_column(TransferFinding::cases(), 'value'), $found));
    }

    /** Curing every cure makes it clear: what remains when each thing in the way is taken away, one after the other. */
    public function test_whatever_is_in_the_way_can_be_seen_alone(): void
    {
        foreach (self::scenarios() as [$given, $verdict]) {
            $readiness = self::transfer($given)->judge();
            $inTheWay = array_filter($readiness->findings, fn (Finding $one): bool => $one->effect !== Effect::Worth);
            self::assertSame($verdict === 'clear', $inTheWay === [], $given);
            self::assertSame($readiness->isClear(), $inTheWay === [], $given);
        }
    }

    /** Time alone: a name that is held becomes clear on the day that was said, and stays so until it nears its end. */
    public function test_a_hold_ends_on_the_day_that_was_said(): void
    {
        $from = self::transfer('created=2026-09-01 moved=2026-09-20')->judge()->from;
        self::assertNotNull($from);
        $at = fn (Instant $now): Readiness => self::transfer('created=2026-09-01 moved=2026-09-20', $now->iso())->judge();
        self::assertSame(Verdict::ClearFrom, $at($from->plusSeconds(-1))->verdict);
        self::assertEquals($from, $at($from->plusSeconds(-1))->from, 'the day does not move as it comes nearer');
        for ($day = 0; $day < 300; $day += 7) {
            self::assertSame(Verdict::Clear, $at($from->plusDays($day))->verdict, (string) $day);
        }
    }

    public function test_the_same_facts_at_the_same_instant_are_the_same_answer(): void
    {
        foreach (self::scenarios() as [$given]) {
            self::assertEquals(self::transfer($given)->judge(), self::transfer($given)->judge());
        }
    }

    /** RFC 5731 §3.2.4; check value of the trade (common practice): one of 14 April promised by the 20th, and come on the 19th. */
    public function test_when_it_arrives_and_when_it_ends_then(): void
    {
        $transfer = self::transfer('ours=no', '2026-04-14T09:00:00Z');
        self::assertSame('2026-04-21', $transfer->arrival()->likely->date());
        self::assertSame('2026-04-23', $transfer->arrival()->latest->date());
        self::assertSame('2028-11-02', $transfer->endAfter()?->date());
        self::assertSame('2028-02-28', self::transfer('created=2020-02-29 ends=2027-02-28')->endAfter()?->date());
        self::assertSame('2036-10-15', self::transfer('ends=2035-10-20')->endAfter()?->date(), 'no further than ten years ahead');
        self::assertSame('2027-11-02', self::transfer('name=bells.co.uk')->endAfter()?->date());
        self::assertSame('2026-10-07', self::transfer('name=bells.co.uk')->arrival()->latest->date());
        self::assertNull(self::transfer('ends=none')->endAfter());
    }

    /**
     * The steps, who takes each, and by when (the trade's figures: five to seven days, nine at worst, fifteen for the mailbox).
     *
     * @param  list<string>  $legs
     */
    #[TestWith(['lock=on code=none renews=yes', [
        'lift_lock house 10-06',
        'renew_off house 10-06',
        'code house 10-06',
        'order house 10-06',
        'answer house 10-06 10-15',
        'arrive registry 10-06 10-15',
        'verify client 10-30',
        'set_lock house 10-16',
        'compare house 10-16',
    ]])]
    #[TestWith(['ours=no renews=yes', [
        'order house 10-06',
        'answer registrar 10-13 10-15',
        'arrive registry 10-13 10-15',
        'verify client 10-30',
        'set_lock house 10-16',
        'compare house 10-16',
    ]])]
    #[TestWith(['name=bells.co.uk', ['tag house 10-06 10-07', 'arrive registry 10-06 10-07', 'compare house 10-08']])]
    #[TestWith(['name=bells.co.uk ours=no', ['tag giver 10-06 10-07', 'arrive registry 10-06 10-07', 'compare house 10-08']])]
    #[TestWith(['elsewhere=yes lock=on code=none', [
        'lift_lock house 10-06',
        'code house 10-06',
        'hand_out receiver 10-06 10-15',
        'answer house 10-06 10-15',
        'arrive registry 10-06 10-15',
    ]])]
    #[TestWith(['elsewhere=yes name=bells.co.uk tag=THEIRS', ['tag house 10-06 10-07', 'arrive registry 10-06 10-07']])]
    #[TestWith(['name=bells.de code=none', [
        'code house 10-06',
        'order house 10-06',
        'answer house 10-06 10-15',
        'arrive registry 10-06 10-15',
        'compare house 10-16',
    ]])]
    public function test_its_steps(string $given, array $legs): void
    {
        self::assertSame($legs, array_map(
            fn (Leg $leg): string => implode(' ', array_filter([
                $leg->kind->value,
                $leg->actor->value,
                substr($leg->likely?->date() ?? '', 5),
                substr($leg->by->date(), 5),
            ], fn (string $part): bool => $part !== '')),
            self::transfer($given)->judge()->legs(),
        ));
    }

    /** What was seen counts instead of the trade's figures, as soon as it is enough. */
    #[TestWith([4, 2, 3, '2026-10-13', '2026-10-15'])]
    #[TestWith([5, 2, 3, '2026-10-08', '2026-10-09'])]
    #[TestWith([40, 6, 12, '2026-10-12', '2026-10-18'])]
    #[TestWith([40, 0, 0, '2026-10-06', '2026-10-07'])]
    public function test_what_was_seen_counts(int $cases, int $median, int $ninth, string $likely, string $latest): void
    {
        $arrival = Arrival::of(MovesBy::Code, false, Instant::of(Given::NOW), new ArrivalsSeen($cases, $median, $ninth));
        self::assertSame([$likely, $latest], [$arrival->likely->date(), $arrival->latest->date()]);
    }

    #[TestWith(['10.00', '10.00', null])]
    #[TestWith(['10.00', '9.99', '£0.01'])]
    public function test_what_a_balance_lacks(string $price, string $balance, ?string $lacks): void
    {
        $gaining = new Gaining('Skerry', true, price: Money::of($price, 'GBP'), balance: Money::of($balance, 'GBP'));
        self::assertSame($lacks, $gaining->lacks()?->text());
    }

    private static function transfer(string $given, string $now = Given::NOW): Transfer
    {
        $said = [];
        foreach ($given === '' ? [] : explode(' ', $given) as $word) {
            [$key, $value] = explode('=', $word);
            $said[$key] = $value;
        }
        $is = fn (string $key): ?bool => ['yes' => true, 'no' => false][$said[$key] ?? ''] ?? null;
        $code = $said['code'] ?? '2026-10-01';
        $mailbox = $said['mailbox'] ?? '';
        $balance = $said['balance'] ?? '100';

        return new Transfer(
            Given::life(
                $said['name'] ?? 'wickerby-bells.com',
                $said['created'] ?? '2020-11-02',
                ($said['ends'] ?? '') === 'none' ? null : $said['ends'] ?? '2027-11-02',
                statuses: isset($said['status']) ? [Status::from($said['status'])] : [],
                moved: $said['moved'] ?? null,
                terms: new LateTerms((int) ($said['lead'] ?? 0)),
                now: $now,
                lock: ['on' => Lock::On, 'unknown' => Lock::NotKnown][$said['lock'] ?? ''] ?? Lock::Off,
            ),
            new Losing(
                ($said['same'] ?? '') === 'yes' ? 'Skerry Registrations' : 'Oriel Names',
                $is('ours') ?? true,
                isset($said['renews']) ? $is('renews') : false,
                array_map(ExtraKind::from(...), isset($said['extras']) ? explode('+', $said['extras']) : []),
            ),
            ($is('elsewhere') === true) ? Gaining::elsewhere('Skerry Registrations', $said['tag'] ?? null) : new Gaining(
                'Skerry Registrations',
                isset($said['suffix']) ? $is('suffix') : true,
                $is('takes'),
                $is('insists') === true,
                $is('letter') === true,
                isset($said['price']) ? null : Money::of('10.00', 'GBP'),
                match ($balance) {
                    'none' => null,
                    'USD' => Money::of('100.00', 'USD'),
                    default => Money::of($balance, 'GBP'),
                },
                tag: ($said['tag'] ?? '') === 'none' ? null : 'SKERRY',
            ),
            match ($code) {
                'none' => CodeKnown::none(),
                'wrong', 'right' => CodeKnown::since(Instant::of('2026-10-01'), $code === 'right'),
                default => CodeKnown::since(Instant::of($code)),
            },
            new Approver(
                $mailbox === 'none' ? null : 'desk@peal.example',
                $mailbox === 'dead' ? TakesMail::No : TakesMail::Yes,
                $mailbox === 'forwards',
                $mailbox === 'inside',
                $mailbox === 'replaced',
            ),
            new ServersKnown(
                ($said['servers'] ?? '') === 'losing',
                isset($said['kept']) ? Instant::of($said['kept']) : null,
                $is('signed'),
                $is('there') === true,
            ),
            isset($said['dispute']) ? [Dispute::from($said['dispute'])] : [],
            isset($said['docket']) ? new Waiting((int) $said['docket'], Instant::of('2026-10-20')) : null,
        );
    }

    /** @return list<string> */
    private static function tags(Readiness $readiness): array
    {
        return array_map(fn (Finding $one): string => (string) $one->tag->value, $readiness->findings);
    }
}
