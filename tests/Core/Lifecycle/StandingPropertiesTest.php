<?php

declare(strict_types=1);

namespace Tests\Core\Lifecycle;

use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\SeenOutside;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Money\Money;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Standing\Severity;
use Acre\Core\Standing\Standing;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Given;

/** What must hold of every standing, over generated facts; the seed is fixed. */
final class StandingPropertiesTest extends TestCase
{
    private const CASES = 1500;

    private Randomizer $random;

    protected function setUp(): void
    {
        $this->random = new Randomizer(new Mt19937(1006));
    }

    /** @return callable(Instant): Lifecycle the same facts at any instant */
    private function anyName(): callable
    {
        $names = ['bell.com', 'bell.org', 'bell.co.uk', 'bell.nothing-known'];
        $name = $names[$this->random->getInt(0, 3)];
        $created = Instant::of('2018-01-01')->plusDays($this->random->getInt(0, 2500));
        $ends = $this->random->getInt(0, 9) === 0 ? null : $created->plusYears($this->random->getInt(1, 9));
        $moved = $this->random->getInt(0, 1) === 0 ? null : $created->plusDays($this->random->getInt(1, 900));
        $intent = Intent::cases()[$this->random->getInt(0, 3)];
        $plain = $this->random->getInt(0, 30);
        $known = $this->random->getInt(0, 1) === 0;
        $statuses = [[], [], [], [Status::RedemptionPeriod, Status::PendingDelete], [Status::PendingDelete]][$this->random->getInt(0, 4)];
        $deleted = $statuses === [] || $this->random->getInt(0, 1) === 0 ? null : $created->plusDays($this->random->getInt(1, 3000));
        $paid = [true, false, null][$this->random->getInt(0, 2)];
        $later = $ends === null || $this->random->getInt(0, 3) > 0 ? null : $ends->plusYears($this->random->getInt(1, 3));
        $terms = new LateTerms(
            $this->random->getInt(0, 40),
            $known ? $this->random->getInt(0, 40) : null,
            $known ? $plain : null,
            $known ? $this->random->getInt($plain, 60) : null,
            14,
            $known ? Money::of('9.90', 'GBP') : null,
            $known ? Money::of('75.40', 'GBP') : null,
            $known ? Money::of('86.00', 'GBP') : null,
        );

        $isOk = $this->random->getInt(0, 3) === 0;
        // Something that was seen outside on some day, which the registry may have changed its mind about.
        $outside = [
            null,
            null,
            null,
            new SeenOutside($created->plusDays(400), [Status::RedemptionPeriod], deletedSince: $created->plusDays(399)),
            new SeenOutside($created->plusDays(400), [Status::ServerHold]),
            new SeenOutside($created->plusDays(400), deletedSince: $created->plusDays(400), isGone: true),
        ][$this->random->getInt(0, 5)];

        return fn (Instant $now): Lifecycle => Given::life(
            $name,
            $created->iso(),
            $ends?->iso(),
            $intent,
            isCalledOk: $isOk,
            outside: $outside,
            moved: $moved?->iso(),
            terms: $terms,
            now: $now->isoSecond(),
            seenUntil: $later?->iso(),
            seenPaid: $paid,
            statuses: $statuses,
            deleted: $deleted?->iso(),
        );
    }

    private function anyInstant(): Instant
    {
        return Instant::of('2019-01-01T00:00:00Z')->plusSeconds($this->random->getInt(0, 12 * 365 * 86_400));
    }

    /** Everything that the Roll keeps of a standing. */
    private static function kept(Standing $standing): string
    {
        return (string) json_encode([
            $standing->next,
            $standing->at,
            $standing->sum,
            $standing->severity,
            $standing->findings,
            $standing->lifecycle->phase,
        ]);
    }

    /** The Roll keeps a standing until `until` and never looks at it in between: so it must be the same for all that time. */
    public function test_a_standing_is_the_same_until_it_says_it_is_not(): void
    {
        $checked = 0;
        for ($case = 0; $case < self::CASES; $case++) {
            $of = $this->anyName();
            $now = $this->anyInstant();
            $standing = Standing::of($of($now));
            $until = $standing->until ?? $now->plusDays(4000);
            self::assertGreaterThan($now->epoch, $until->epoch);
            foreach ([1, $this->random->getInt(1, max(1, $until->epoch - $now->epoch - 1)), $until->epoch - $now->epoch - 1] as $later) {
                if ($later > 0 && $later < $until->epoch - $now->epoch) {
                    self::assertSame(
                        self::kept($standing),
                        self::kept(Standing::of($of($now->plusSeconds($later)))),
                        $now->isoSecond()." + {$later} s",
                    );
                    $checked++;
                }
            }
        }
        self::assertGreaterThan(self::CASES, $checked);
    }

    public function test_the_next_date_is_still_to_come_and_is_one_that_the_rules_or_the_registry_placed(): void
    {
        for ($case = 0; $case < self::CASES; $case++) {
            $life = $this->anyName()($this->anyInstant());
            $standing = Standing::of($life);
            if ($standing->at === null) {
                continue;
            }
            self::assertFalse(
                $standing->at->hasComeAt($life->now),
                $standing->next->value.' '.$standing->at->iso().' at '.$life->now->iso(),
            );
            $placed = array_map(fn ($event): int => $event->at->epoch, $life->events());
            foreach ($life->stages() as $stage) {
                $placed[] = $stage->span->until->epoch ?? 0;
            }
            $placed[] = $life->facts->seenUntil->epoch ?? 0;
            self::assertContains($standing->at->epoch, $placed);
        }
    }

    public function test_findings_stand_in_the_order_of_what_they_cost(): void
    {
        for ($case = 0; $case < self::CASES; $case++) {
            $standing = Standing::of($this->anyName()($this->anyInstant()));
            self::assertNotSame([], $standing->findings);
            $costs = array_map(fn (Finding $finding): int => $finding->tag->cost()->value, $standing->findings);
            $sorted = $costs;
            sort($sorted);
            self::assertSame($sorted, $costs);
        }
    }

    public function test_nothing_is_grave_long_before_anything_happens(): void
    {
        for ($case = 0; $case < self::CASES; $case++) {
            $life = $this->anyName()($this->anyInstant());
            $ends = $life->facts->ends;
            if (
                $ends !== null &&
                $life->facts->outside === null &&
                $life->now->daysUntil($ends) > 60 + 14 &&
                ! $life->facts->has(Status::RedemptionPeriod, Status::PendingDelete)
            ) {
                self::assertSame(Severity::Calm, Standing::of($life)->severity);
            }
            if (
                $life->phase->isLate() &&
                $life->presumed &&
                ! in_array($life->facts->intent, [Intent::ByItself, Intent::Lapse], true) &&
                $life->coming(EventKind::LastAtAll) !== null
            ) {
                self::assertSame(Severity::Grave, Standing::of($life)->severity);
            }
        }
    }

    public function test_dark_is_never_after_the_release_and_the_plain_price_never_ends_before_the_term(): void
    {
        for ($case = 0; $case < self::CASES; $case++) {
            $life = $this->anyName()($this->anyInstant());
            if ($life->since !== null) {
                // What was deleted before its end goes by other days.
                continue;
            }
            if ($life->facts->ends === null) {
                self::assertNull($life->event(EventKind::Dark));

                continue;
            }
            $at = fn (EventKind $kind): ?int => $life->event($kind)?->at->epoch;
            $end = $life->facts->ends->epoch;
            self::assertGreaterThanOrEqual($end, $at(EventKind::Dark));
            self::assertLessThanOrEqual($at(EventKind::Released), $at(EventKind::Dark));
            $proven = $life->facts->proven();
            self::assertSame($proven === Phase::PendingDelete, $at(EventKind::LastAtAll) === null);
            if ($proven?->isDeleted() === true) {
                self::assertNull($at(EventKind::LastPlain));
            }
            if ($at(EventKind::LastAtAll) !== null) {
                self::assertLessThanOrEqual($at(EventKind::Released), $at(EventKind::LastAtAll));
            }
            if ($at(EventKind::LastPlain) !== null) {
                self::assertGreaterThanOrEqual($end, $at(EventKind::LastPlain));
                self::assertLessThanOrEqual($at(EventKind::LastAtAll), $at(EventKind::LastPlain));
            }
        }
    }
}
