<?php

declare(strict_types=1);

namespace Tests\Core\Movement;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Movement\Confirms;
use Acre\Core\Movement\ExtraKind;
use Acre\Core\Movement\Handover;
use Acre\Core\Movement\HandoverTerms;
use Acre\Core\Movement\Leg;
use Acre\Core\Movement\LegKind;
use Acre\Core\Movement\Readiness;
use Acre\Core\Movement\ReceiverBy;
use Acre\Core\Movement\Verdict;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Given;

/** What must hold of every readiness, over generated cases; the seed is fixed. */
final class HandoverPropertiesTest extends TestCase
{
    private const CASES = 2000;

    private Randomizer $random;

    protected function setUp(): void
    {
        $this->random = new Randomizer(new Mt19937(51877));
    }

    /** @phpstan-impure */
    private function pick(int $most): int
    {
        return $this->random->getInt(0, $most);
    }

    private function anyHandover(?Waiting $underWay = null, ?string $now = null): Handover
    {
        $created = Instant::of('2024-01-01')->plusDays($this->pick(1000));

        return new Handover(
            Given::life(
                ['bell.com', 'bell.co.uk', 'bell.nothing-known'][$this->pick(2)],
                $created->iso(),
                $this->pick(9) === 0 ? null : $created->plusDays(300 + $this->pick(900))->iso(),
                Intent::cases()[$this->pick(3)],
                $this->pick(9) === 0 ? [Status::PendingTransfer] : [],
                terms: Given::terms(),
                now: $now ?? Given::NOW,
                lock: Lock::cases()[$this->pick(2)],
            ),
            Given::account(1, ours: $this->pick(9) > 0),
            $this->pick(9) === 0
                ? null
                : Given::account(
                    1 + $this->pick(3),
                    $this->pick(9) > 0 ? 1 : 2,
                    login: $this->pick(9) > 0 ? 'login' : null,
                    ours: $this->pick(1) === 0,
                    proven: $this->pick(1) === 0,
                ),
            new HandoverTerms(
                ReceiverBy::cases()[$this->pick(3)],
                Confirms::cases()[$this->pick(3)],
                $this->pick(1) === 0,
                $this->pick(1) === 0,
                $this->pick(1) === 0,
                $this->pick(1) * 60,
            ),
            Instant::of('2026-10-06')->plusDays(1 + $this->pick(40)),
            $this->pick(1) === 0 ? [ExtraKind::Mail] : [],
            $underWay,
        );
    }

    /** @return list<Effect> */
    private static function effects(Readiness $readiness): array
    {
        return array_map(fn (Finding $finding): Effect => $finding->effect, $readiness->findings);
    }

    public function test_a_verdict_is_no_better_than_its_worst_finding(): void
    {
        $seen = [];
        for ($case = 0; $case < self::CASES; $case++) {
            $readiness = $this->anyHandover()->judge();
            $effects = self::effects($readiness);
            $expected = match (true) {
                in_array(Effect::Stops, $effects, true) => Verdict::Stopped,
                in_array(Effect::NotKnown, $effects, true) => Verdict::NotKnown,
                in_array(Effect::Delays, $effects, true) => Verdict::ClearFrom,
                default => Verdict::Clear,
            };
            self::assertSame($expected, $readiness->verdict);
            self::assertSame($expected === Verdict::ClearFrom, $readiness->from !== null);
            $seen[$expected->value] = true;
        }
        self::assertCount(4, $seen, 'The cases reach every verdict.');
    }

    public function test_another_movement_under_way_never_makes_a_name_clearer(): void
    {
        for ($case = 0; $case < 500; $case++) {
            self::assertSame(Verdict::Stopped, $this->anyHandover(new Waiting(1, Instant::of('2026-10-20')))->judge()->verdict);
        }
    }

    public function test_a_name_that_is_clear_from_a_date_is_clear_of_that_delay_on_it(): void
    {
        $tried = 0;
        for ($case = 0; $case < self::CASES; $case++) {
            $handover = $this->anyHandover();
            $from = $handover->judge()->from;
            if ($from === null) {
                continue;
            }
            $tried++;
            foreach ([[$from->plusSeconds(-1), true], [$from, false]] as [$at, $delayed]) {
                $life = Given::life(
                    $handover->life->facts->name->ascii,
                    $handover->life->facts->created?->iso(),
                    $handover->life->facts->ends?->iso(),
                    $handover->life->facts->intent,
                    terms: Given::terms(),
                    now: $at->isoSecond(),
                );
                $then = new Handover($life, $handover->giver, $handover->receiver, $handover->terms, $at->plusDays(10), $handover->extras);
                self::assertSame($delayed, in_array(Effect::Delays, self::effects($then->judge()), true));
            }
        }
        self::assertGreaterThan(10, $tried);
    }

    public function test_legs_follow_their_order_and_the_lock_is_set_again_if_it_was_lifted(): void
    {
        for ($case = 0; $case < self::CASES; $case++) {
            $handover = $this->anyHandover();
            $kinds = array_map(fn (Leg $leg): LegKind => $leg->kind, $handover->judge()->legs());
            self::assertContains(LegKind::Offer, $kinds);
            self::assertSame(count($kinds), count(array_unique(array_column($kinds, 'value'))));
            self::assertSame(in_array(LegKind::LiftLock, $kinds, true), in_array(LegKind::SetLock, $kinds, true));
            self::assertSame(in_array(LegKind::UnlockAccount, $kinds, true), in_array(LegKind::LockAccount, $kinds, true));
            if (in_array(LegKind::SetLock, $kinds, true)) {
                self::assertSame(LegKind::SetLock, $kinds[count($kinds) - 1]);
                self::assertTrue($handover->life->facts->isLocked());
            }
            $offer = array_search(LegKind::Offer, $kinds, true);
            foreach ([LegKind::UnlockAccount, LegKind::LiftLock] as $first) {
                self::assertTrue(! in_array($first, $kinds, true) || array_search($first, $kinds, true) < $offer);
            }
        }
    }

    public function test_an_answer_is_never_wanted_after_the_name_has_ended(): void
    {
        for ($case = 0; $case < self::CASES; $case++) {
            $handover = $this->anyHandover();
            $ends = $handover->life->facts->ends;
            foreach ($handover->judge()->legs() as $leg) {
                if (! $leg->kind->comesAfter() && $ends !== null) {
                    self::assertTrue($leg->by->isBefore($ends));
                }
            }
        }
    }
}
