<?php

declare(strict_types=1);

namespace Tests\Core\Lifecycle;

use Acre\Core\Finding\Finding;
use Acre\Core\Finding\FindingError;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\LifecycleFinding;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\SeenOutside;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Rulebook\Rescue;
use Acre\Core\Standing\NextKind;
use Acre\Core\Standing\Severity;
use Acre\Core\Standing\Standing;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Given;

final class StandingTest extends TestCase
{
    /** @return iterable<string, array{string, Intent, NextKind, string|null, Severity}> */
    public static function standings(): iterable
    {
        yield 'a charge to come' => ['2026-11-30', Intent::ByItself, NextKind::Charge, '2026-11-23', Severity::Calm];
        yield 'a charge which has passed' => ['2026-10-12', Intent::ByItself, NextKind::ChargeUnconfirmed, '2026-10-12', Severity::Soon];
        yield 'renewed by itself, or not' => ['2026-10-01', Intent::ByItself, NextKind::Presumed, '2026-10-31', Severity::Soon];
        yield 'renewed by itself, or deleted since' => ['2026-09-01', Intent::ByItself, NextKind::Presumed, '2026-10-31', Severity::Grave];
        yield 'renewed by itself, or free' => ['2026-06-01', Intent::ByItself, NextKind::Presumed, null, Severity::Soon];
        yield 'a client to ask' => ['2026-11-02', Intent::AskClient, NextKind::AskClient, '2026-10-19', Severity::Soon];
        yield 'a client who has not said' => ['2026-10-12', Intent::AskClient, NextKind::AskedTooLate, '2026-10-12', Severity::Soon];
        yield 'a lapse near' => ['2026-11-02', Intent::Lapse, NextKind::Lapses, '2026-11-02', Severity::Soon];
        yield 'a lapse far' => ['2027-11-02', Intent::Lapse, NextKind::Lapses, '2027-11-02', Severity::Calm];
        yield 'an end within a fortnight' => ['2026-10-20', Intent::WhenTold, NextKind::Ends, '2026-10-20', Severity::Grave];
        yield 'an end within two months' => ['2026-12-01', Intent::WhenTold, NextKind::Ends, '2026-12-01', Severity::Soon];
        yield 'late at the plain price' => ['2026-09-22', Intent::WhenTold, NextKind::LatePlain, '2026-10-14', Severity::Grave];
        yield 'late and dear' => ['2026-09-08', Intent::WhenTold, NextKind::LateDear, '2026-10-08', Severity::Grave];
        yield 'in redemption' => ['2026-09-01', Intent::WhenTold, NextKind::Redemption, '2026-10-31', Severity::Grave];
        yield 'being deleted' => ['2026-08-04', Intent::WhenTold, NextKind::PendingDelete, '2026-10-08', Severity::Grave];
        yield 'late, as was meant' => ['2026-09-22', Intent::Lapse, NextKind::Lapsing, '2026-11-21', Severity::Calm];
        yield 'lapsed by the rules' => ['2026-08-04', Intent::Lapse, NextKind::Lapsing, '2026-10-08', Severity::Calm];
        yield 'free' => ['2026-06-01', Intent::WhenTold, NextKind::Released, null, Severity::Soon];
    }

    #[DataProvider('standings')]
    public function test_the_next_date_and_how_loudly(string $ends, Intent $intent, NextKind $kind, ?string $at, Severity $severity): void
    {
        $standing = Standing::of(Given::life(ends: $ends, intent: $intent, terms: Given::terms()));
        self::assertSame($kind, $standing->next);
        self::assertSame($at, $standing->at?->iso());
        self::assertSame($severity, $standing->severity);
    }

    /**
     * RFC 3915 §3.1: a registry that renews by itself is a year ahead for the whole of its auto-renew grace, so only after
     * it (45 days at .com, by its agreement) does a later end prove a renewal; .uk renews nothing by itself (common practice).
     *
     * @return iterable<string, array{string, string, string, list<Status>, NextKind, 5?: bool}>
     */
    public static function laterEnds(): iterable
    {
        yield 'after the grace' => ['bell.com', '2026-08-01', '2027-08-01', [], NextKind::Renewed];
        yield 'in the grace, as its registrar says itself' => ['bell.com', '2026-09-22', '2027-09-22', [], NextKind::Renewed, true];
        yield 'in the grace' => ['bell.com', '2026-09-22', '2027-09-22', [], NextKind::LatePlain];
        yield 'in what the registrar keeps of it no more' => ['bell.com', '2026-09-01', '2027-09-01', [], NextKind::Redemption];
        yield 'the day before it is over' => ['bell.com', '2026-08-23', '2027-08-23', [], NextKind::Redemption];
        yield 'the day on which it is over' => ['bell.com', '2026-08-22', '2027-08-22', [], NextKind::Renewed];
        yield 'at a registry that renews nothing by itself' => ['bell.co.uk', '2026-09-22', '2027-09-22', [], NextKind::Renewed];
        yield 'with a status that proves the deletion' => [
            'bell.com',
            '2026-08-01',
            '2027-08-01',
            [Status::RedemptionPeriod],
            NextKind::Redemption,
        ];
        yield 'long past itself' => ['bell.com', '2024-08-01', '2025-08-01', [], NextKind::Released];
        yield 'of a term that runs' => ['bell.com', '2026-10-20', '2027-10-20', [], NextKind::Ends];
    }

    /** @param  list<Status>  $statuses */
    #[DataProvider('laterEnds')]
    public function test_a_later_end_at_the_registry_is_believed_against_what_is_only_expected(
        string $name,
        string $ends,
        string $later,
        array $statuses,
        NextKind $kind,
        ?bool $isPaid = null,
    ): void {
        $life = Given::life($name, ends: $ends, statuses: $statuses, terms: Given::terms(), seenUntil: $later, seenPaid: $isPaid);
        $standing = Standing::of($life);
        self::assertSame($kind, $standing->next);
        if ($kind === NextKind::Renewed) {
            self::assertSame([$later, Severity::Soon, null], [$standing->at?->iso(), $standing->severity, $standing->sum]);
            self::assertSame([Phase::InTerm, true, Rescue::Renew], [$life->phase, $life->presumed, $life->rescue()]);
        }
    }

    /**
     * RFC 3915 §3.1: redemption lasts thirty days at .com, and only a restore ends it; what a registry says counts before anybody has
     * written it down.
     */
    public function test_what_its_registry_surely_says_counts_at_once_and_is_told_as_seen(): void
    {
        $at = Instant::of('2026-10-06T03:00:00Z');
        $of = fn (
            ?SeenOutside $outside,
            Intent $intent = Intent::WhenTold,
            string $ends = '2026-11-25',
            Status ...$statuses,
        ): Standing => Standing::of(
            Given::life(
                created: '2020-11-25',
                ends: $ends,
                intent: $intent,
                statuses: array_values($statuses),
                terms: Given::terms(),
                outside: $outside,
            ),
        );
        $deleted = $of(new SeenOutside($at, [Status::RedemptionPeriod], deletedSince: Instant::of('2026-10-05')));
        self::assertSame(
            [NextKind::Redemption, '2026-11-04', '£120.00', Severity::Grave, true],
            [$deleted->next, $deleted->at?->iso(), $deleted->sum?->text(), $deleted->severity, $deleted->isAmiss],
        );
        self::assertContains(LifecycleFinding::AsSeen, array_map(fn (Finding $finding) => $finding->tag, $deleted->findings));
        $held = $of(new SeenOutside($at, [Status::ServerHold]));
        self::assertSame([NextKind::Ends, Severity::Grave, true], [$held->next, $held->severity, $held->isAmiss]);
        $gone = $of(new SeenOutside($at, deletedSince: $at, isGone: true));
        self::assertSame(
            [NextKind::Gone, null, Severity::Grave, true, LifecycleFinding::Gone, []],
            [$gone->next, $gone->at, $gone->severity, $gone->isAmiss, $gone->findings[0]->tag, $gone->lifecycle->toCome()],
        );
        self::assertSame(Phase::Released, $gone->lifecycle->phase);
        $lapsed = $of(new SeenOutside($at, deletedSince: $at, isGone: true), Intent::Lapse, '2026-08-01');
        self::assertSame(
            [NextKind::Gone, Severity::Calm, false, LifecycleFinding::Lapsed],
            [$lapsed->next, $lapsed->severity, $lapsed->isAmiss, $lapsed->findings[0]->tag],
        );
        // Restored, as its registry says: what is written counts no more.
        $restored = $of(new SeenOutside($at, lacks: [Status::RedemptionPeriod]), Intent::WhenTold, '2026-11-25', Status::RedemptionPeriod);
        self::assertSame([NextKind::Ends, Phase::InTerm, false], [$restored->next, $restored->lifecycle->phase, $restored->isAmiss]);
        self::assertNotContains(LifecycleFinding::AsSeen, array_map(fn (Finding $finding) => $finding->tag, $of(null)->findings));
    }

    /** RFC 5731 §2.3: `ok` stands alone, so what carries it is neither on hold nor being deleted. */
    public function test_what_its_registry_calls_ok_is_not_told_as_suspended_by_the_rules(): void
    {
        $of = fn (string $ends, bool $isOk, Intent $intent = Intent::WhenTold): Standing => Standing::of(
            Given::life('bell.co.uk', ends: $ends, intent: $intent, terms: Given::terms(), isCalledOk: $isOk),
        );
        self::assertSame(
            [NextKind::Suspended, Phase::Suspended],
            [$of('2026-08-20', false)->next, $of('2026-08-20', false)->lifecycle->phase],
        );
        $ok = $of('2026-08-20', true);
        self::assertSame(
            [Phase::Grace, NextKind::LateDear, '2026-11-18', Severity::Grave, true],
            [$ok->lifecycle->phase, $ok->next, $ok->at?->iso(), $ok->severity, $ok->isAmiss],
        );
        $long = $of('2026-05-20', true);
        self::assertSame(
            [NextKind::LateDear, null, LifecycleFinding::LateStillOk],
            [$long->next, $long->at, $long->findings[0]->tag],
            'long free by the rules',
        );
        self::assertSame(NextKind::Ends, $of('2026-11-20', true)->next);
        self::assertSame(
            Phase::Redemption,
            Given::life(ends: '2026-09-01', statuses: [Status::RedemptionPeriod], isCalledOk: true)->phase,
            'a status that is written and not contradicted',
        );
    }

    public function test_what_is_wrong_already_is_told_from_what_is_to_come(): void
    {
        $isAmiss = fn (string $ends, Intent $intent = Intent::WhenTold, Status ...$statuses): bool => Standing::of(
            Given::life(ends: $ends, intent: $intent, statuses: array_values($statuses), terms: Given::terms()),
        )->isAmiss;
        self::assertSame(
            [true, true, true, true, true],
            array_map($isAmiss, ['2026-09-22', '2026-09-08', '2026-09-01', '2026-08-04', '2026-06-01']),
            'late, dear, deleted, for good, free',
        );
        self::assertSame([false, false], array_map($isAmiss, ['2026-10-07', '2027-10-07']), 'still to end');
        self::assertTrue($isAmiss('2026-10-12', Intent::AskClient), 'an answer overdue');
        self::assertFalse($isAmiss('2026-11-12', Intent::AskClient));
        self::assertTrue($isAmiss('2027-10-07', Intent::ByItself, Status::ClientHold));
        self::assertFalse($isAmiss('2026-09-22', Intent::Lapse, Status::ClientHold), 'as was meant');
        self::assertSame(
            [false, true],
            array_map(fn (string $ends): bool => $isAmiss($ends, Intent::ByItself), ['2026-10-01', '2026-09-01']),
            'renewed by itself, or not; or deleted since',
        );
        // Nobody knows the registrar's terms.
        self::assertTrue(Standing::of(Given::life(ends: '2026-09-26'))->isAmiss);
    }

    public function test_what_its_registrar_was_not_paid_for_is_late_whatever_was_meant(): void
    {
        $of = fn (?bool $isPaid): Standing => Standing::of(
            Given::life(ends: '2026-09-22', intent: Intent::ByItself, terms: Given::terms(), seenPaid: $isPaid),
        );
        self::assertSame([NextKind::Presumed, NextKind::LatePlain], [$of(null)->next, $of(false)->next]);
        self::assertSame([Severity::Grave, '£10.60'], [$of(false)->severity, $of(false)->sum?->text()]);
    }

    public function test_what_renews_by_itself_is_presumed_to_have_done_so_at_each_end(): void
    {
        $until = fn (string $ends): mixed => array_values(
            array_filter(
                Standing::of(Given::life(ends: $ends, intent: Intent::ByItself))->findings,
                fn (Finding $finding): bool => $finding->tag === LifecycleFinding::PresumedRenewed,
            ),
        )[0]->with['until'] ?? null;
        self::assertEquals(Instant::of('2027-10-01'), $until('2026-10-01'));
        self::assertEquals(Instant::of('2027-01-15'), $until('2023-01-15'));
    }

    public function test_the_sum_is_what_keeping_it_costs_then(): void
    {
        $of = fn (string $ends): ?string => Standing::of(Given::life(ends: $ends, terms: Given::terms()))->sum?->text();
        self::assertSame('£10.60', $of('2026-09-22'));
        self::assertSame('£86.00', $of('2026-09-08'));
        self::assertSame('£120.00', $of('2026-09-01'));
        self::assertNull(Standing::of(Given::life(ends: '2026-09-22', terms: new LateTerms()))->sum);
    }

    public function test_a_lock_that_is_off_is_told_only_of_a_name_that_stays(): void
    {
        $tells = fn (Lifecycle $life, ?Waiting $waiting = null): bool => in_array(
            LifecycleFinding::LockOff,
            array_map(fn (Finding $finding) => $finding->tag, Standing::of($life, $waiting)->findings),
            true,
        );
        self::assertTrue($tells(Given::life(lock: Lock::Off)));
        self::assertFalse($tells(Given::life(lock: Lock::On)));
        self::assertFalse($tells(Given::life(lock: Lock::NotKnown)));
        self::assertFalse($tells(Given::life(lock: Lock::Off, statuses: [Status::ClientTransferProhibited])));
        self::assertFalse($tells(Given::life(lock: Lock::Off, statuses: [Status::PendingTransfer])));
        self::assertFalse($tells(Given::life(lock: Lock::Off), new Waiting(7, Instant::of('2026-10-20'))));
        // Late, it has other cares; and under .de no registrar can lock.
        self::assertFalse($tells(Given::life(ends: '2026-09-22', lock: Lock::Off)));
        self::assertFalse($tells(Given::life('bell.de', lock: Lock::Off)));
    }

    public function test_a_name_that_its_accounts_list_was_without_is_told_before_everything_that_only_costs(): void
    {
        $standing = Standing::of(Given::life(missing: '2026-10-05', terms: Given::terms()));
        self::assertSame(LifecycleFinding::NotInList, $standing->findings[0]->tag);
        self::assertSame(
            '2026-10-05',
            $standing->findings[0]->with['since'] instanceof Instant ? $standing->findings[0]->with['since']->date() : null,
        );
        // It makes a calm name one to look at, and takes nothing from a grave one.
        self::assertSame(
            [Severity::Soon, Severity::Calm],
            [$standing->severity, Standing::of(Given::life(terms: Given::terms()))->severity],
        );
        self::assertSame(Severity::Grave, Standing::of(Given::life(ends: '2026-09-22', missing: '2026-10-05'))->severity);
    }

    /** ICANN's transfer policy: sixty days after creation and after a transfer. */
    public function test_a_name_is_held_until_the_last_of_its_holds_ends(): void
    {
        self::assertNull(Standing::of(Given::life())->heldUntil());
        self::assertSame('2026-10-19', Standing::of(Given::life(created: '2026-08-20'))->heldUntil()?->date());
        self::assertSame('2026-11-19', Standing::of(Given::life(created: '2026-08-20', moved: '2026-09-20'))->heldUntil()?->date());
    }

    public function test_findings_stand_dearest_first(): void
    {
        $standing = Standing::of(
            Given::life(
                ends: '2026-11-30',
                intent: Intent::ByItself,
                moved: '2026-08-20',
                statuses: [Status::ClientHold],
                lock: Lock::On,
                terms: Given::terms(),
            ),
        );
        self::assertSame(
            [LifecycleFinding::OnHold, LifecycleFinding::MayNotMove, LifecycleFinding::RenewsByItself],
            array_map(fn (Finding $finding) => $finding->tag, $standing->findings),
        );
        self::assertSame(Severity::Grave, $standing->severity);
    }

    public function test_a_movement_that_waits_is_next_when_it_comes_first(): void
    {
        $life = Given::life(ends: '2027-04-01');
        $standing = Standing::of($life, new Waiting(132, Instant::of('2026-10-20')));
        self::assertSame(
            [NextKind::Handover, '2026-10-20', Severity::Moving],
            [$standing->next, $standing->at?->iso(), $standing->severity],
        );
        $late = Standing::of(Given::life(ends: '2026-09-22', terms: Given::terms()), new Waiting(132, Instant::of('2026-10-10')));
        self::assertSame(NextKind::LatePlain, $late->next);
        // On its last day it is still expected; what it waits for after that is to be asked about.
        $on = fn (string $now): Standing => Standing::of(
            Given::life(ends: '2027-10-20', now: $now),
            new Waiting(132, Instant::of('2026-10-20')),
        );
        self::assertSame(
            [Severity::Moving, '2026-10-21'],
            [$on('2026-10-20T23:59:59Z')->severity, $on('2026-10-20T23:59:59Z')->until?->iso()],
        );
        self::assertSame([NextKind::Handover, Severity::Soon], [$on('2026-10-21T00:00:00Z')->next, $on('2026-10-21T00:00:00Z')->severity]);
        self::assertNotSame('2026-10-21', $on('2026-10-21T00:00:00Z')->until?->iso());
    }

    public function test_it_stands_until_the_first_date_that_changes_it(): void
    {
        self::assertSame(
            '2026-10-12T00:00:00Z',
            Standing::of(Given::life(ends: '2026-10-19', intent: Intent::ByItself, terms: Given::terms()))->until?->iso(),
        );
        self::assertSame('2027-09-03T00:00:00Z', Standing::of(Given::life(ends: '2027-11-02'))->until?->iso());
        self::assertNull(Standing::of(Given::life(ends: '2020-11-02', created: '2019-11-02'))->until);
    }

    public function test_the_rules_of_an_unknown_suffix_are_said_to_be_cautious(): void
    {
        self::assertContains(
            LifecycleFinding::DefaultRules,
            array_map(fn (Finding $finding) => $finding->tag, Standing::of(Given::life('bells.nothing-known'))->findings),
        );
    }

    public function test_a_finding_without_its_arguments_cannot_be_made(): void
    {
        $this->expectException(FindingError::class);
        Finding::of(LifecycleFinding::Lapses);
    }
}
