<?php

declare(strict_types=1);

namespace Tests\Core\Custody;

use Acre\Core\Custody\Custodian;
use Acre\Core\Custody\Custody;
use Acre\Core\Custody\CustodyFinding;
use Acre\Core\Custody\CustodyPart;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;

final class CustodyTest extends TestCase
{
    /** @return list<mixed> */
    private static function tags(Custody $custody): array
    {
        return array_map(fn (Finding $finding): mixed => $finding->tag, $custody->findings());
    }

    private static function one(int $id, CustodyPart $part, bool $left = false, ?string $until = null): Custodian
    {
        return new Custodian($id, "Person {$id}", $part, $left, $until === null ? null : Instant::of($until));
    }

    public function test_one_person_nobody_and_one_who_left(): void
    {
        self::assertSame([CustodyFinding::Nobody], self::tags(new Custody([])));
        self::assertSame([CustodyFinding::OnePerson], self::tags(new Custody([self::one(1, CustodyPart::SignsIn)])));
        self::assertSame(
            [CustodyFinding::Nobody, CustodyFinding::HeldByOneWhoLeft],
            self::tags(new Custody([self::one(1, CustodyPart::SignsIn, true)])),
        );
        $two = [self::one(1, CustodyPart::SignsIn), self::one(2, CustodyPart::SignsIn)];
        self::assertSame([], self::tags(new Custody($two)));
        self::assertSame([CustodyFinding::OneFactor], self::tags(new Custody([...$two, self::one(2, CustodyPart::SecondFactor)])));
        self::assertSame(
            [CustodyFinding::NoWayBack, CustodyFinding::HostBehindIt],
            self::tags(new Custody($two, hasWayBack: false, hostsToo: true)),
        );
        self::assertSame([], self::tags(new Custody([...$two, self::one(1, CustodyPart::WayBack)], hasWayBack: false)));
    }

    public function test_where_the_login_lies_and_when_a_card_ends(): void
    {
        $two = [self::one(1, CustodyPart::SignsIn), self::one(2, CustodyPart::SignsIn)];
        self::assertSame([CustodyFinding::LoginLapses], self::tags(new Custody($two, 'a@bell.com', 'bell.com', true, Intent::Lapse)));
        self::assertSame([CustodyFinding::LoginInside], self::tags(new Custody($two, 'a@bell.com', 'bell.com', true, Intent::ByItself)));
        self::assertSame([], self::tags(new Custody($two, 'a@bell.com', 'bell.com', false, Intent::ByItself)));
        $card = fn (string $until): array => self::tags(
            new Custody([...$two, self::one(1, CustodyPart::Card, until: $until)], nextCharge: Instant::of('2026-11-13')),
        );
        self::assertSame([[CustodyFinding::CardEnds], [], []], [$card('2026-11-12'), $card('2026-11-13'), $card('2027-01-31')]);
    }

    public function test_what_stops_is_what_nobody_else_who_is_there_has(): void
    {
        $custody = new Custody([
            self::one(1, CustodyPart::SignsIn),
            self::one(2, CustodyPart::SignsIn, true),
            self::one(1, CustodyPart::SecondFactor),
            self::one(3, CustodyPart::SecondFactor),
            self::one(3, CustodyPart::Card),
        ]);
        self::assertSame(
            [[CustodyPart::SignsIn], [], [CustodyPart::Card]],
            [$custody->onlyWith(1), $custody->onlyWith(2), $custody->onlyWith(3)],
        );
        // Of somebody who has left it has stopped already, as the account's own findings say.
        $left = new Custody([self::one(1, CustodyPart::SignsIn, true)]);
        self::assertSame(
            [[CustodyPart::SignsIn], [CustodyFinding::Nobody, CustodyFinding::HeldByOneWhoLeft]],
            [$left->onlyWith(1), self::tags($left)],
        );
        self::assertSame(
            [[], ['1']],
            [$left->canSignIn(), array_map(fn (string $who): string => preg_replace('/\D/', '', $who) ?? '', $custody->canSignIn())],
        );
    }
}
