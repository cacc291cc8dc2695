<?php

declare(strict_types=1);

namespace Tests\Core\Lifecycle;

use Acre\Core\Lifecycle\Event;
use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Lifecycle\HoldReason;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\Stage;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Term;
use Acre\Core\Money\Money;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Rulebook\Rescue;
use Acre\Core\Standing\NextKind;
use Acre\Core\Standing\Standing;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Given;

final class LifecycleTest extends TestCase
{
    /** @return array<string, string> */
    private static function dates(Lifecycle $life): array
    {
        $dates = [];
        foreach ($life->events() as $event) {
            $dates[$event->kind->value] = $event->at->iso();
        }

        return $dates;
    }

    public function test_everything_to_come_of_a_com_name_by_the_registrars_terms(): void
    {
        $life = Given::life(ends: '2026-10-19', intent: Intent::ByItself, terms: Given::terms());
        self::assertSame(Phase::InTerm, $life->phase);
        self::assertSame(
            [
                'hold_ends' => '2021-01-01',
                'charge' => '2026-10-12',
                'end' => '2026-10-19',
                'dark' => '2026-10-19',
                'last_plain' => '2026-11-10',
                'deleted' => '2026-11-18',
                'last_at_all' => '2026-12-18',
                'released' => '2026-12-23',
            ],
            self::dates($life),
        );
        self::assertSame(
            ['charge', 'end', 'dark', 'last_plain', 'deleted', 'last_at_all', 'released'],
            array_map(fn ($event) => $event->kind->value, $life->toCome()),
        );
        self::assertSame('2027-10-19', $life->renewedUntil()?->iso());
        self::assertSame('£10.60', $life->event(EventKind::Charge)?->sum?->text());
    }

    public function test_without_terms_the_earliest_is_taken_and_said_to_be_uncertain(): void
    {
        $life = Given::life(ends: '2026-11-02');
        self::assertSame('2026-11-02', $life->event(EventKind::Dark)?->at->iso());
        self::assertFalse($life->event(EventKind::Dark)->certain);
        self::assertFalse($life->event(EventKind::LastPlain)?->certain);
    }

    /**
     * ICANN Expired Registration Recovery Policy §2.2: the last eight days in which it can be renewed are dark, whatever the registrar
     * says.
     */
    public function test_a_com_name_is_dark_for_the_last_eight_days_at_least(): void
    {
        $life = Given::life(ends: '2026-11-02', terms: new LateTerms(darkAfter: 44, lateUntil: 40));
        self::assertSame(Instant::of('2026-11-02')->plusDays(32)->iso(), $life->event(EventKind::Dark)?->at->iso());
    }

    public function test_a_uk_name_is_suspended_before_it_is_cancelled(): void
    {
        $life = Given::life('peal-records.co.uk', ends: '2026-09-01');
        self::assertSame(Phase::Suspended, $life->phase);
        self::assertSame('2026-10-01', $life->event(EventKind::Dark)?->at->iso());
        self::assertSame('2026-11-30', $life->event(EventKind::LastAtAll)?->at->iso());
    }

    #[TestWith(['2026-10-06', Phase::Grace])]
    #[TestWith(['2026-10-07', Phase::InTerm])]
    #[TestWith(['2026-08-23', Phase::Grace])]
    #[TestWith(['2026-08-22', Phase::Redemption])]
    #[TestWith(['2026-07-24', Phase::Redemption])]
    #[TestWith(['2026-07-23', Phase::PendingDelete])]
    #[TestWith(['2026-07-19', Phase::PendingDelete])]
    #[TestWith(['2026-07-18', Phase::Released])]
    public function test_a_phase_begins_with_the_first_instant_of_its_day(string $ends, Phase $phase): void
    {
        $life = Given::life(ends: $ends);
        self::assertSame($phase, $life->phase);
        self::assertSame($phase->isLate(), $life->presumed);
    }

    /** The registry's terms, from memory: an .au name can be renewed in the ninety days before its end. */
    public function test_where_a_registry_renews_only_near_the_end_no_year_can_be_added_before(): void
    {
        $of = fn (string $name, string $ends): array => [
            ($life = Given::life($name, ends: $ends))->addableYears() > 0,
            $life->renewableFrom()?->iso(),
        ];
        self::assertSame([false, '2026-10-07'], $of('bell.com.au', '2027-01-05'));
        self::assertSame([true, null], $of('bell.com.au', '2027-01-04'));
        self::assertSame([true, null], $of('bell.com', '2027-11-02'));
        self::assertSame([true, null], $of('bell.com.au', '2026-10-06'));
    }

    /**
     * The registry's terms, from memory: an .au name is renewed for thirty days after its end as before it, and doesn't answer meanwhile.
     */
    public function test_where_a_registry_keeps_the_plain_price_after_the_end(): void
    {
        $terms = new LateTerms(renew: Money::of('19.00', 'AUD'), late: Money::of('40.00', 'AUD'));
        $life = Given::life('bell.com.au', ends: '2026-09-20', terms: $terms);
        self::assertSame(
            [Phase::Suspended, true, '2026-10-20'],
            [$life->phase, $life->isPlainToday(), $life->event(EventKind::LastAtAll)?->at->iso()],
        );
        self::assertSame('2026-09-20', $life->event(EventKind::Dark)?->at->iso());
        $standing = Standing::of($life);
        self::assertSame(
            [NextKind::Suspended, '2026-10-20', '19.00'],
            [$standing->next, $standing->at?->iso(), $standing->sum?->decimal()],
        );
        // A registrar that says otherwise is believed.
        $registrars = Given::life(
            'bell.com.au',
            ends: '2026-09-20',
            terms: new LateTerms(plainAfter: 5, renew: Money::of('19.00', 'AUD'), late: Money::of('40.00', 'AUD')),
        );
        self::assertSame(
            ['2026-09-25', '59.00'],
            [$registrars->event(EventKind::LastPlain)?->at->iso(), Standing::of($registrars)->sum?->decimal()],
        );
        self::assertSame(Phase::PendingDelete, Given::life('bell.com.au', ends: '2026-09-06')->phase);
    }

    public function test_a_status_of_the_record_proves_the_phase(): void
    {
        $life = Given::life(ends: '2026-09-20', statuses: [Status::RedemptionPeriod]);
        self::assertSame(Phase::Redemption, $life->phase);
        self::assertFalse($life->presumed);
    }

    /** RFC 3915 §3.1: pendingDelete follows redemption, in which it could be restored. */
    public function test_what_is_over_for_a_deleted_name_does_not_come_any_more_though_its_day_is_not_known(): void
    {
        $kinds = fn (Status ...$statuses): array => array_map(
            fn (Event $event): string => $event->kind->value,
            Given::life(created: '2020-09-20', ends: '2026-09-20', statuses: array_values($statuses), terms: Given::terms())->toCome(),
        );
        self::assertSame(['last_plain', 'deleted', 'last_at_all', 'released'], $kinds());
        self::assertSame(['last_at_all', 'released'], $kinds(Status::PendingDelete, Status::RedemptionPeriod));
        self::assertSame(['released'], $kinds(Status::PendingDelete));
    }

    /**
     * RFC 3915 §2 and §3.1 with the .com registry agreement: 30 days of redemption, then 5; they count from the deletion, whenever that
     * was.
     */
    public function test_what_is_left_to_a_deleted_name_counts_from_its_deletion(): void
    {
        $deleted = [Status::PendingDelete, Status::RedemptionPeriod];
        $early = Given::life(created: '2020-11-02', ends: '2027-11-02', statuses: $deleted, deleted: '2026-10-05');
        self::assertSame(Phase::Redemption, $early->phase);
        self::assertSame(
            ['dark 2026-10-05', 'deleted 2026-10-05', 'last_at_all 2026-11-04', 'released 2026-11-09'],
            self::told($early),
            'its end no longer comes',
        );
        self::assertSame(
            ['in_term 2020-11-02', 'redemption 2026-10-05', 'pending_delete 2026-11-04', 'released 2026-11-09'],
            self::stages($early),
        );
        self::assertSame('2026-11-04', $early->last(Rescue::Restore)?->iso());
        self::assertSame(array_map(fn (Event $event): int => $event->at->epoch, $early->events()), $early->dates());
        // In the grace after its end, ten days in: sooner than the registry's longest.
        $late = Given::life(created: '2020-09-01', ends: '2026-09-20', statuses: $deleted, deleted: '2026-09-30');
        self::assertSame(
            ['end 2026-09-20', 'dark 2026-09-20', 'deleted 2026-09-30', 'last_at_all 2026-10-30', 'released 2026-11-04'],
            array_values(array_filter(self::told($late), fn (string $event): bool => ! str_starts_with($event, 'last_plain'))),
        );
        self::assertSame(
            ['in_term 2020-09-01', 'grace 2026-09-20', 'redemption 2026-09-30', 'pending_delete 2026-10-30', 'released 2026-11-04'],
            self::stages($late),
        );
        // Past redemption only the days until it is free are left.
        self::assertSame(
            '2026-10-10',
            Given::life(statuses: [Status::PendingDelete], deleted: '2026-10-05')->event(EventKind::Released)?->at->iso(),
        );
        self::assertSame(
            [Rescue::Restore, Rescue::Nothing, Rescue::Renew],
            [$early->rescue(), Given::life(statuses: [Status::PendingDelete])->rescue(), Given::life()->rescue()],
        );
        self::assertTrue($early->isCutShort() && ! $late->isCutShort());
        self::assertSame(['2026-10-05', '2026-09-20'], [$early->over()?->iso(), $late->over()?->iso()]);
        // Nothing else than such a status makes that day count.
        self::assertSame(Phase::InTerm, Given::life(deleted: '2026-10-05')->phase);
        self::assertNull(Given::life(deleted: '2026-10-05')->since);
    }

    /** RFC 3915 §2 with the .com registry agreement: 45 days at most, then 30, then 5. */
    public function test_nothing_stays_deleted_for_ever(): void
    {
        $deleted = [Status::PendingDelete, Status::RedemptionPeriod];
        $on = fn (string $now, ?string $since = null): array => [
            ($life = Given::life(
                created: '2020-09-01',
                ends: '2026-09-01',
                statuses: $deleted,
                deleted: $since,
                terms: Given::terms(),
                now: $now,
            ))->phase,
            $life->presumed,
            $life->event(EventKind::LastAtAll)?->at->iso(),
        ];
        // Its registrar keeps a name for thirty days; nobody recorded when this one was deleted.
        self::assertSame([Phase::Redemption, false, '2026-10-31'], $on('2026-10-30T23:00:00Z'));
        self::assertSame([Phase::Redemption, false, '2026-11-15'], $on('2026-10-31T00:00:00Z'), 'then its registry gave it longer');
        self::assertSame([Phase::PendingDelete, true, '2026-11-15'], $on('2026-11-15T00:00:00Z'));
        self::assertSame([Phase::Released, true, '2026-11-15'], $on('2026-11-20T00:00:00Z'));
        // The day of its deletion is known.
        self::assertSame([Phase::Redemption, false, '2026-10-12'], $on('2026-10-11T23:00:00Z', '2026-09-12'));
        self::assertSame([Phase::PendingDelete, true, '2026-10-12'], $on('2026-10-12T00:00:00Z', '2026-09-12'));
        self::assertSame([Phase::Released, true, '2026-10-12'], $on('2026-10-17T00:00:00Z', '2026-09-12'));
        self::assertSame(
            Phase::Released,
            Given::life(
                created: '2020-09-01',
                ends: '2026-09-01',
                statuses: [Status::PendingDelete],
                deleted: '2026-10-12',
                now: '2026-10-17T00:00:00Z',
            )->phase,
        );
        // Its registry says that it runs on: somebody restored it.
        self::assertSame(
            Phase::InTerm,
            Given::life(created: '2020-09-01', ends: '2026-09-01', statuses: $deleted, now: '2026-11-20T00:00:00Z', seenUntil: '2027-09-01')
                ->phase,
        );
        // The rules of .uk know no redemption.
        self::assertSame(
            [Phase::Redemption, Phase::Released],
            array_map(
                fn (string $now): Phase => Given::life(
                    'bell.co.uk',
                    created: '2020-09-01',
                    ends: '2026-09-01',
                    statuses: $deleted,
                    now: $now,
                )->phase,
                ['2026-11-20T00:00:00Z', '2026-11-30T00:00:00Z'],
            ),
        );
    }

    /** The registry's terms, from memory: a .de name has no end, and after its deletion 30 days of redemption. */
    public function test_a_deleted_name_without_an_end_has_dates_nonetheless(): void
    {
        $life = Given::life('glocken.de', ends: null, statuses: [Status::RedemptionPeriod], deleted: '2026-10-05');
        self::assertSame(['dark 2026-10-05', 'deleted 2026-10-05', 'last_at_all 2026-11-04', 'released 2026-11-04'], self::told($life));
        self::assertSame('2026-11-04', Standing::of($life)->at?->iso());
        self::assertSame(Phase::Redemption, Given::life('glocken.de', ends: null, statuses: [Status::RedemptionPeriod])->phase);
    }

    /** @return list<string> */
    private static function told(Lifecycle $life): array
    {
        $events = array_filter($life->events(), fn (Event $event): bool => $event->kind !== EventKind::HoldEnds);

        return array_map(fn (Event $event): string => "{$event->kind->value} {$event->at->date()}", array_values($events));
    }

    /** @return list<string> each from when; one begins where the one before ends */
    private static function stages(Lifecycle $life): array
    {
        $stages = $life->stages();
        foreach ($stages as $at => $stage) {
            self::assertTrue($at === 0 || $stages[$at - 1]->span->until?->compare($stage->span->from ?? Instant::second(0)) === 0);
        }

        return array_map(fn (Stage $stage): string => "{$stage->phase->value} {$stage->span->from?->date()}", $stages);
    }

    public function test_auto_renew_period_on_a_name_in_its_term_proves_nothing_late(): void
    {
        self::assertSame(Phase::InTerm, Given::life(ends: '2027-09-20', statuses: [Status::AutoRenewPeriod])->phase);
    }

    public function test_an_end_that_is_not_known_is_not_assumed(): void
    {
        $life = Given::life(ends: null);
        self::assertSame(Phase::NotKnown, $life->phase);
        self::assertSame(0, $life->addableYears());
        self::assertNull($life->renewedUntil());
    }

    public function test_holds_have_from_to_and_why(): void
    {
        $life = Given::life(created: '2026-09-01', moved: '2026-09-20', ends: '2028-09-01');
        self::assertSame([HoldReason::Registered, HoldReason::Moved], array_map(fn ($hold) => $hold->reason, $life->holdsNow()));
        self::assertSame(['2026-10-31', '2026-11-19'], array_map(fn ($hold) => $hold->until->iso(), $life->holdsNow()));
        self::assertSame([], Given::life('peal.co.uk', created: '2026-09-01', moved: '2026-09-20')->holds);
    }

    #[TestWith(['2028-04-27', 8])]
    #[TestWith(['2026-10-06', 10])]
    #[TestWith(['2026-10-07', 9])]
    #[TestWith(['2036-10-06', 0])]
    public function test_years_never_run_past_ten_ahead(string $ends, int $years): void
    {
        self::assertSame($years, Given::life(created: '2021-04-27', ends: $ends)->addableYears());
    }

    public function test_a_name_of_29_february_is_counted_from_its_first_date(): void
    {
        $created = Instant::of('2024-02-29');
        $once = Term::extend($created, Instant::of('2025-02-28'), 36);
        self::assertSame('2028-02-29', $once->iso());
        self::assertSame('2028-02-28', Term::extend(null, Instant::of('2025-02-28'), 36)->iso());
        self::assertSame('2029-02-27', Term::extend($created, Instant::of('2026-02-27'), 36)->iso());
    }

    /** Properties over generated facts, seeded: phases leave no gap and don't overlap; the clock moves no event. */
    public function test_phases_are_seamless_and_the_clock_moves_no_event(): void
    {
        $random = new Randomizer(new Mt19937(20261006));
        $names = ['bell.com', 'bell.org', 'bell.co.uk', 'bell.nothing-known'];
        for ($case = 0; $case < 2000; $case++) {
            $created = Instant::of('2015-01-01')->plusDays($random->getInt(0, 4000));
            $ends = $created->plusYears($random->getInt(1, 10))->plusDays($random->getInt(0, 3));
            $plain = $random->getInt(0, 30);
            $terms = new LateTerms($random->getInt(0, 60), $random->getInt(0, 60), $plain, $random->getInt($plain, 60));
            $now = $created->plusDays($random->getInt(-10, 5000));
            $make = fn (Instant $at): Lifecycle => Given::life(
                $names[$case % 4],
                $created->iso(),
                $ends->iso(),
                Intent::cases()[$case % 3],
                terms: $terms,
                now: $at->isoSecond(),
            );
            $life = $make($now);
            self::assertSeamless($life->stages(), $created);
            self::assertSame(self::dates($life), self::dates($make($now->plusDays($random->getInt(1, 900)))));
            $order = array_map(fn ($event) => $event->at->epoch, $life->events());
            $sorted = $order;
            sort($sorted);
            self::assertSame($sorted, $order);
        }
    }

    /** @param  list<Stage>  $stages */
    private static function assertSeamless(array $stages, Instant $created): void
    {
        self::assertSame($created->epoch, $stages[0]->span->from?->epoch);
        for ($i = 1; $i < count($stages); $i++) {
            self::assertSame($stages[$i - 1]->span->until?->epoch, $stages[$i]->span->from?->epoch);
        }
        self::assertNull($stages[count($stages) - 1]->span->until);
    }

    /** A date that was put right lies days apart, also where the month is shorter; a renewal lies a year apart (common practice). */
    public function test_an_end_that_was_put_right_is_no_renewal(): void
    {
        $renewed = fn (string $then, string $now): bool => Term::isRenewed(Instant::of($then), Instant::of($now));
        self::assertFalse($renewed('2026-11-02', '2026-11-02'));
        self::assertFalse($renewed('2026-11-02', '2026-11-05'));
        self::assertFalse($renewed('2026-11-02', '2025-11-02'));
        self::assertFalse($renewed('2026-08-31', '2027-02-27'));
        self::assertTrue($renewed('2026-08-31', '2027-02-28'));
        self::assertTrue($renewed('2024-02-29', '2025-02-28T23:59:59Z'));
    }
}
