<?php

declare(strict_types=1);

namespace Tests\Core\Movement;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Movement\Account;
use Acre\Core\Movement\Confirms;
use Acre\Core\Movement\ExtraFate;
use Acre\Core\Movement\ExtraKind;
use Acre\Core\Movement\Handover;
use Acre\Core\Movement\HandoverTerms;
use Acre\Core\Movement\Leg;
use Acre\Core\Movement\LegKind;
use Acre\Core\Movement\MovementFinding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Movement\ReceiverBy;
use Acre\Core\Movement\Verdict;
use Acre\Core\Record\Certainty;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;
use Tests\Core\Given;

final class HandoverTest extends TestCase
{
    /** @param  list<ExtraKind>  $extras */
    private static function judge(
        ?Lifecycle $life = null,
        ?Account $receiver = null,
        ?HandoverTerms $terms = null,
        array $extras = [],
        ?Waiting $underWay = null,
        ?Account $giver = null,
        string $answerBy = '2026-10-20',
    ): Readiness {
        return (new Handover(
            $life ?? Given::life(),
            $giver ?? Given::account(1),
            $receiver ?? Given::account(2),
            $terms ?? new HandoverTerms(ReceiverBy::NumberLogin, Confirms::Receiver),
            Instant::of($answerBy),
            $extras,
            $underWay,
        ))->judge();
    }

    /** @return list<MovementFinding> */
    private static function tags(Readiness $readiness): array
    {
        return array_map(function (Finding $finding): MovementFinding {
            self::assertInstanceOf(MovementFinding::class, $finding->tag);

            return $finding->tag;
        }, $readiness->findings);
    }

    private static function assertJudged(Verdict $verdict, MovementFinding $tag, Readiness $readiness): void
    {
        self::assertSame($verdict, $readiness->verdict);
        self::assertContains($tag, self::tags($readiness));
    }

    /** What the outside says counts before anything is done: as far as it is sure. */
    public function test_what_was_seen_outside_stops_what_it_makes_impossible(): void
    {
        $judge = fn (RecordFinding $tag, Certainty $certainty, string ...$with): Readiness => (new Handover(
            Given::life(),
            Given::account(1),
            Given::account(2),
            new HandoverTerms(ReceiverBy::NumberLogin, Confirms::Receiver),
            Instant::of('2026-10-20'),
            seenOutside: [Finding::of($tag, $tag->against($certainty) ?? Effect::Worth, null, ...$with)],
        ))->judge();
        foreach (
            [RecordFinding::NotInDirectory, RecordFinding::TransferNotOurs, RecordFinding::Deleted, RecordFinding::FallsFree] as $tag
        ) {
            self::assertSame(Verdict::Stopped, $judge($tag, Certainty::Sure)->verdict, $tag->value);
            self::assertSame(Verdict::Clear, $judge($tag, Certainty::Stale)->verdict, 'seen long ago it stops nobody');
        }
        self::assertSame(
            Verdict::Stopped,
            $judge(RecordFinding::OtherRegistrar, Certainty::Sure, held: 'Skerry', seen: 'Farshore')->verdict,
        );
        $changed = $judge(RecordFinding::ServersChanged, Certainty::Sure, held: 'ns1.a.example', seen: 'ns9.b.example');
        self::assertSame([Verdict::Clear, RecordFinding::ServersChanged], [$changed->verdict, $changed->findings[0]->tag]);
        self::assertNull(RecordFinding::StatusGone->against(Certainty::Sure));
    }

    /** Asked by letter, who has the account answers before anything else; nobody is written to for an account of our own. */
    public function test_a_receiver_that_is_asked_by_letter_answers_first(): void
    {
        $terms = fn (Confirms $confirms): HandoverTerms => new HandoverTerms(
            ReceiverBy::Handle,
            $confirms,
            lockFirst: true,
            unlockAccountFirst: true,
            acceptsByLetter: true,
        );
        $kinds = fn (Readiness $judged): array => array_map(fn ($leg): LegKind => $leg->kind, $judged->legs());
        $theirs = new Account(2, 1, 'Oriel Names', '7955', null, 'ledger@bells.example', 'FNDRY', false, null);
        $ours = new Account(2, 1, 'Oriel Names', '7955', null, 'ledger@bells.example', 'FNDRY', true, Instant::of('2026-01-05'));
        foreach ([Confirms::Receiver, Confirms::GiverThenReceiver, Confirms::ReceiverThenGiver, Confirms::Nobody] as $confirms) {
            $judged = self::judge(receiver: $theirs, terms: $terms($confirms));
            self::assertSame(LegKind::Accept, $kinds($judged)[0], $confirms->value);
            self::assertSame(1, count(array_keys($kinds($judged), LegKind::Accept, true)), 'asked once');
            self::assertTrue($judged->isClear(), 'who answers proves the account');
            self::assertContains(MovementFinding::ReceiverIsAsked, array_map(fn ($finding) => $finding->tag, $judged->findings));
        }
        self::assertSame(
            [LegKind::UnlockAccount, LegKind::Offer, LegKind::Accept, LegKind::LockAccount],
            $kinds(self::judge(receiver: $ours, terms: $terms(Confirms::Receiver))),
        );
        self::assertFalse($terms(Confirms::Receiver)->asksFirst(null));
        $mute = new Account(2, 1, 'Oriel Names', '7955', null, null, 'FNDRY', false, null);
        self::assertJudged(
            Verdict::Stopped,
            MovementFinding::ReceiverLacks,
            self::judge(receiver: $mute, terms: $terms(Confirms::Receiver)),
        );
    }

    public function test_nothing_in_the_way_is_clear(): void
    {
        $readiness = self::judge();
        self::assertTrue($readiness->isClear());
        self::assertSame([], $readiness->findings);
        self::assertSame(['offer', 'accept'], array_map(fn (Leg $leg) => $leg->kind->value, $readiness->legs()));
    }

    public function test_what_stops_it(): void
    {
        self::assertJudged(Verdict::Stopped, MovementFinding::OtherRegistrar, self::judge(receiver: Given::account(2, 2)));
        self::assertJudged(Verdict::Stopped, MovementFinding::AlreadyThere, self::judge(receiver: Given::account(1)));
        self::assertJudged(Verdict::Stopped, MovementFinding::NoAccess, self::judge(giver: Given::account(1, ours: false)));
        self::assertJudged(Verdict::Stopped, MovementFinding::UnderWay, self::judge(underWay: new Waiting(131, Instant::of('2026-10-19'))));
        self::assertJudged(
            Verdict::Stopped,
            MovementFinding::TransferPending,
            self::judge(Given::life(statuses: [Status::PendingTransfer])),
        );
        self::assertJudged(Verdict::Stopped, MovementFinding::ReceiverLacks, self::judge(receiver: Given::account(2, login: null)));
    }

    public function test_the_receiver_is_named_as_the_registrar_asks(): void
    {
        $noMailbox = Given::account(2, mailbox: null);
        self::assertTrue(self::judge(receiver: $noMailbox)->isClear());
        self::assertFalse(
            self::judge(receiver: $noMailbox, terms: new HandoverTerms(ReceiverBy::MailboxNumber, Confirms::Receiver))->isClear(),
        );
        self::assertFalse(self::judge(receiver: $noMailbox, terms: new HandoverTerms(ReceiverBy::Mailbox, Confirms::Receiver))->isClear());
        self::assertTrue(
            self::judge(
                receiver: Given::account(2, handle: 'FNDRY'),
                terms: new HandoverTerms(ReceiverBy::Handle, Confirms::Receiver),
            )->isClear(),
        );
    }

    public function test_an_unproven_receiver_stops_only_where_one_mistyped_character_gives_the_name_away(): void
    {
        $unproven = Given::account(2, proven: false);
        self::assertJudged(Verdict::Clear, MovementFinding::ReceiverUnproven, self::judge(receiver: $unproven));
        self::assertJudged(
            Verdict::NotKnown,
            MovementFinding::ReceiverUnprovenAlone,
            self::judge(receiver: $unproven, terms: new HandoverTerms(ReceiverBy::Mailbox, Confirms::Receiver)),
        );
    }

    public function test_a_late_name_is_renewed_or_restored_first(): void
    {
        self::assertJudged(Verdict::Stopped, MovementFinding::PastEnd, self::judge(Given::life(ends: '2026-09-20')));
        self::assertJudged(Verdict::Stopped, MovementFinding::InRedemption, self::judge(Given::life(ends: '2026-08-20')));
        self::assertJudged(Verdict::Stopped, MovementFinding::GoneForGood, self::judge(Given::life(ends: '2026-06-20')));
        self::assertJudged(
            Verdict::NotKnown,
            MovementFinding::MaybeRenewed,
            self::judge(Given::life(ends: '2026-10-01', intent: Intent::ByItself)),
        );
        self::assertJudged(
            Verdict::NotKnown,
            MovementFinding::MaybeRenewed,
            self::judge(Given::life(ends: '2026-08-01', intent: Intent::ByItself)),
        );
        self::assertJudged(
            Verdict::NotKnown,
            MovementFinding::MaybeRenewed,
            self::judge(Given::life(ends: '2026-08-01', seenUntil: '2027-08-01')),
        );
        self::assertJudged(Verdict::Stopped, MovementFinding::EndsToday, self::judge(Given::life(ends: '2026-10-07')));
    }

    public function test_it_must_be_accepted_before_the_end(): void
    {
        $readiness = self::judge(Given::life(ends: '2026-10-15'));
        self::assertJudged(Verdict::Clear, MovementFinding::AcceptBeforeEnd, $readiness);
        self::assertSame(['2026-10-14', '2026-10-14'], array_map(fn (Leg $leg) => $leg->by->iso(), $readiness->legs()));
        self::assertNotContains(MovementFinding::AcceptBeforeEnd, self::tags(self::judge(Given::life(ends: '2026-10-21'))));
    }

    public function test_an_end_that_is_not_known_is_asked_for_where_the_record_would_show_it(): void
    {
        self::assertJudged(Verdict::NotKnown, MovementFinding::EndNotKnown, self::judge(Given::life(ends: null)));
        self::assertTrue(self::judge(Given::life('bells.nothing-known', ends: null))->isClear());
    }

    public function test_only_time_stands_in_the_way_so_the_date_is_said(): void
    {
        $terms = new HandoverTerms(ReceiverBy::NumberLogin, Confirms::Receiver, holdDays: 60);
        $readiness = self::judge(Given::life(created: '2026-09-01', ends: '2028-09-01'), terms: $terms);
        self::assertJudged(Verdict::ClearFrom, MovementFinding::HeldAtRegistrar, $readiness);
        self::assertSame('2026-10-31', $readiness->from?->iso());
        $stopped = self::judge(Given::life(created: '2026-09-01', ends: '2028-09-01'), terms: $terms, receiver: Given::account(1));
        self::assertSame([Verdict::Stopped, null], [$stopped->verdict, $stopped->from]);
        self::assertTrue(
            self::judge(
                Given::life(created: '2026-09-01', ends: '2028-09-01', now: '2026-10-31T00:00:00Z'),
                terms: $terms,
                answerBy: '2026-11-10',
            )->isClear(),
        );
    }

    public function test_lock_and_account_are_unlocked_first_and_both_are_locked_again_last(): void
    {
        $terms = new HandoverTerms(ReceiverBy::NumberLogin, Confirms::GiverThenReceiver, lockFirst: true, unlockAccountFirst: true);
        $readiness = self::judge(Given::life(lock: Lock::On), terms: $terms);
        self::assertSame(
            ['unlock_account', 'lift_lock', 'offer', 'confirm', 'accept', 'lock_account', 'set_lock'],
            array_map(fn (Leg $leg) => $leg->kind->value, $readiness->legs()),
        );
        self::assertSame([MovementFinding::LockLifted, MovementFinding::AccountUnlocked], self::tags($readiness));
        self::assertContains(MovementFinding::LockNotKnown, self::tags(self::judge(Given::life(lock: Lock::NotKnown), terms: $terms)));
        // From memory: under .uk no name has a lock, whatever a list says; where the rules are not known, it may.
        foreach ([Lock::On, Lock::NotKnown] as $lock) {
            self::assertSame(
                [MovementFinding::AccountUnlocked],
                self::tags(self::judge(Given::life('bell.co.uk', lock: $lock), terms: $terms)),
            );
        }
        self::assertContains(
            MovementFinding::LockLifted,
            self::tags(self::judge(Given::life('bell.nothing-known', lock: Lock::On), terms: $terms)),
        );
        self::assertSame(
            ['offer', 'accept'],
            array_map(fn (Leg $leg) => $leg->kind->value, self::judge(Given::life(lock: Lock::On))->legs()),
        );
    }

    public function test_the_receiver_acts_where_we_have_no_access(): void
    {
        $terms = new HandoverTerms(ReceiverBy::NumberLogin, Confirms::ReceiverThenGiver);
        self::assertSame(
            [Actor::House, Actor::Receiver, Actor::House],
            array_map(fn (Leg $leg) => $leg->actor, self::judge(receiver: Given::account(2, ours: false), terms: $terms)->legs()),
        );
    }

    public function test_what_is_worth_knowing(): void
    {
        self::assertJudged(
            Verdict::Clear,
            MovementFinding::MeantToLapse,
            self::judge(Given::life(ends: '2026-11-02', intent: Intent::Lapse)),
        );
        self::assertJudged(
            Verdict::Clear,
            MovementFinding::ChargedMeanwhile,
            self::judge(Given::life(ends: '2026-10-21', intent: Intent::ByItself, terms: Given::terms())),
        );
        self::assertJudged(
            Verdict::Clear,
            MovementFinding::MailboxInside,
            self::judge(receiver: Given::account(2, mailbox: 'ledger@mail.Wickerby-Bells.com')),
        );
    }

    public function test_extras_come_along_stay_or_end_by_the_registrars_terms(): void
    {
        $terms = new HandoverTerms(
            ReceiverBy::NumberLogin,
            Confirms::Receiver,
            extras: [
                'privacy' => ExtraFate::ComesAlong,
                'redirects' => ExtraFate::Ends,
                'mail' => ExtraFate::Stays,
            ],
        );
        $readiness = self::judge(terms: $terms, extras: [ExtraKind::Privacy, ExtraKind::Mail, ExtraKind::Redirects, ExtraKind::Zone]);
        self::assertSame([MovementFinding::ExtraEnds, MovementFinding::ExtraStays, MovementFinding::ExtraNotKnown], self::tags($readiness));
        self::assertTrue($readiness->isClear());
    }
}
