<?php

declare(strict_types=1);

namespace Tests\Core\Contact;

use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Verification;
use Acre\Core\Disclosure\Privacy;
use Acre\Core\Finding\Finding;
use Acre\Core\Name\DomainName;
use Acre\Core\Registrant\Guard;
use Acre\Core\Rulebook\MovesBy;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Whether anybody reads a registrant's mailbox, what their registrar knows of them, and how long a privacy service stands in for them. */
final class ReachedTest extends TestCase
{
    /**
     * @param  list<Finding>  $findings
     * @return list<string>
     */
    private static function keys(array $findings): array
    {
        return array_map(fn (Finding $finding): string => $finding->key(), $findings);
    }

    private static function guard(?string $askedOn = null, ?string $forwardsTo = null, ?int $told = null, ?string $bounced = null): Guard
    {
        return new Guard(
            1,
            HolderKind::Organisation,
            'Bell Foundry',
            'ledger@bells.example',
            null,
            bounced: $bounced,
            told: $told,
            askedOn: $askedOn === null ? null : Instant::of($askedOn),
            forwardsTo: $forwardsTo,
        );
    }

    /** @return list<string> by their keys, sorted */
    private static function found(Guard $guard, string $now, ?string $verified = null): array
    {
        // Registered on 1 October: by the 16th it must be verified (RAA 2013, accuracy specification).
        $verification = Verification::of(
            Instant::of('2026-10-01'),
            null,
            null,
            $verified === null ? null : Instant::of($verified),
            15,
            Instant::of($now),
        );

        $found = self::keys($guard->findings(DomainName::of('bell.com'), true, $verification));
        sort($found);

        return $found;
    }

    public function test_a_letter_that_nobody_answers_becomes_a_sign_days_before_the_deadline(): void
    {
        $asked = self::guard('2026-10-01T16:00:00Z');
        self::assertSame(['contact.verify_by'], self::found($asked, '2026-10-05T23:59:59Z'));
        self::assertSame(['contact.not_answered', 'contact.verify_by'], self::found($asked, '2026-10-06T00:00:00Z'));
        self::assertEquals(Instant::of('2026-10-06'), $asked->silentFrom());
        self::assertSame(['contact.not_answered', 'contact.verification_lapsed'], self::found($asked, '2026-10-17'));
        self::assertSame([], self::found($asked, '2026-10-08', verified: '2026-10-07'), 'answered');
        self::assertSame(['contact.verify_by'], self::found(self::guard(), '2026-10-12'), 'nobody was asked');
        // One that came back is told as that.
        self::assertSame(
            ['contact.letters_return', 'contact.verify_by'],
            self::found(self::guard('2026-10-01T16:00:00Z', bounced: 'full'), '2026-10-12'),
        );
        self::assertNull(self::guard('2026-10-01T16:00:00Z', bounced: 'full')->silentFrom());
    }

    public function test_a_forwarder_and_a_registrar_that_was_not_told_are_said(): void
    {
        // Common practice: an approval must be answered from the mailbox itself.
        self::assertSame(
            ['contact.forwards', 'contact.not_told'],
            self::found(self::guard(forwardsTo: 'private@kettle.example', told: 4), '2026-11-20'),
        );
    }

    /**
     * @return iterable<string, array{string|null, bool, string, list<string>, bool, string|null}> its end, whether it renews, today, what
     *     is said, whether it is over, until when that holds
     */
    public static function services(): iterable
    {
        yield 'far away' => ['2026-12-01', false, '2026-10-06', [], false, '2026-11-01'];
        yield 'a month before' => ['2026-12-01', false, '2026-11-01', ['disclosure.privacy_ends'], false, '2026-12-01'];
        yield 'its last day' => ['2026-12-01', false, '2026-11-30T23:59:59Z', ['disclosure.privacy_ends'], false, '2026-12-01'];
        yield 'over' => ['2026-12-01', false, '2026-12-01', ['disclosure.privacy_over'], true, null];
        yield 'renews by itself' => ['2026-12-01', true, '2026-12-05', [], false, null];
        yield 'no end is known' => [null, false, '2026-12-05', [], false, null];
    }

    /** @param  list<string>  $says */
    #[DataProvider('services')]
    public function test_a_privacy_service_stands_in_until_it_ends(
        ?string $ends,
        bool $renews,
        string $today,
        array $says,
        bool $isOver,
        ?string $until,
    ): void {
        $service = new Privacy($ends === null ? null : Instant::of($ends), $renews);
        $now = Instant::of($today);
        self::assertSame(
            [$says, $isOver, $until],
            [self::keys($service->findings($now, MovesBy::Tag)), $service->isOverAt($now), $service->until($now)?->date()],
        );
        // Common practice: letters that ask before a move don't get through every privacy service; where a tag is set nobody writes.
        foreach ([MovesBy::Code, MovesBy::Mail] as $asks) {
            self::assertSame($isOver ? $says : [...$says, 'disclosure.move_mailed_through'], self::keys($service->findings($now, $asks)));
        }
    }
}
