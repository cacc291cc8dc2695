<?php

declare(strict_types=1);

namespace Tests\Core\Contact;

use Acre\Core\Contact\Verification;
use Acre\Core\Contact\VerificationCause;
use Acre\Core\Contact\VerificationState;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;

final class VerificationTest extends TestCase
{
    private static function of(
        ?string $created = null,
        ?string $moved = null,
        ?string $changed = null,
        ?string $verified = null,
        int $days = 15,
        string $now = '2026-10-06T09:00:00Z',
    ): Verification {
        $at = fn (?string $text): ?Instant => $text === null ? null : Instant::of($text);

        return Verification::of($at($created), $at($moved), $at($changed), $at($verified), $days, Instant::of($now));
    }

    /** ICANN RAA 2013, accuracy specification: within fifteen calendar days of a registration, a transfer in or a change. */
    public function test_what_happened_last_within_its_days_asks_for_it(): void
    {
        $new = self::of(created: '2026-09-24');
        self::assertSame(
            [VerificationState::Open, VerificationCause::Registered, '2026-10-09'],
            [$new->state, $new->cause, $new->by?->iso()],
        );
        self::assertSame(
            [VerificationCause::Moved, '2026-10-16'],
            [self::of('2019-01-01', '2026-10-01T17:00:00Z')->cause, self::of('2019-01-01', '2026-10-01T17:00:00Z')->by?->iso()],
        );
        self::assertSame(VerificationCause::Changed, self::of('2019-01-01', '2020-01-01', '2026-10-06T08:00:00Z')->cause);
        // A change meanwhile doesn't put the day off.
        self::assertSame('2026-10-09', self::of('2026-09-24', null, '2026-10-05')->by?->iso());
    }

    public function test_its_day_passes_at_its_first_instant_and_is_told_for_a_while(): void
    {
        self::assertSame(VerificationState::Open, self::of('2026-09-21', now: '2026-10-05T23:59:59Z')->state);
        $lapsed = self::of('2026-09-21', now: '2026-10-06T00:00:00Z');
        self::assertSame([VerificationState::Lapsed, '2026-11-05'], [$lapsed->state, $lapsed->until()?->iso()]);
        self::assertTrue($lapsed->isDue());
        self::assertSame(VerificationState::NotAsked, self::of('2026-09-21', now: '2026-11-05T00:00:00Z')->state);
        self::assertNull(self::of('2019-01-01')->until());
    }

    public function test_a_mailbox_that_was_verified_serves_whatever_comes_later(): void
    {
        self::assertSame(VerificationState::Verified, self::of('2026-09-24', verified: '2024-01-15')->state);
        self::assertFalse(self::of('2026-09-24', verified: '2024-01-15')->isDue());
    }

    public function test_where_there_is_no_such_rule_nothing_is_asked_nor_of_what_is_not_known_or_still_to_come(): void
    {
        self::assertSame(VerificationState::NotAsked, self::of('2026-09-24', days: 0)->state);
        self::assertSame(VerificationState::NotAsked, self::of()->state);
        self::assertSame(VerificationState::NotAsked, self::of('2026-10-07')->state);
    }
}
