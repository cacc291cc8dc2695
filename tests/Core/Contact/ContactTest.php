<?php

declare(strict_types=1);

namespace Tests\Core\Contact;

use Acre\Core\Contact\Address;
use Acre\Core\Contact\Contact;
use Acre\Core\Contact\ContactError;
use Acre\Core\Contact\ContactFinding;
use Acre\Core\Contact\Country;
use Acre\Core\Contact\Field;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Likeness;
use Acre\Core\Contact\LocalForm;
use Acre\Core\Contact\Mailbox;
use Acre\Core\Contact\Phone;
use Acre\Core\Contact\Rings;
use Acre\Core\Contact\TakesMail;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Name\DomainName;
use Acre\Core\Registrant\Guard;
use Acre\Core\Registrant\MaterialChange;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ContactTest extends TestCase
{
    private static function whole(): Contact
    {
        return Contact::of(
            HolderKind::Organisation,
            'Wickerby Bell Foundry',
            "  Gudrun\t Kettle ",
            Address::of(['PO Box 7', ''], 'Wickerby', null, 'WS1 4AB', Country::of('gb')),
            Phone::of('01632 960123', Country::of('GB')),
            Mailbox::of('ledger@wickerby-bells.com'),
        );
    }

    public function test_a_contact_says_what_a_registry_is_told(): void
    {
        $contact = self::whole();
        self::assertSame('Wickerby Bell Foundry', $contact->called());
        self::assertSame(
            [
                'Gudrun Kettle',
                'Wickerby Bell Foundry',
                'PO Box 7',
                'Wickerby',
                null,
                'WS1 4AB',
                'GB',
                '+44.1632960123',
                'ledger@wickerby-bells.com',
            ],
            array_map($contact->field(...), Field::cases()),
        );
        self::assertSame(['PO Box 7', 'Wickerby WS1 4AB', 'United Kingdom'], $contact->address->lines());
        self::assertSame([], $contact->differs(self::whole()));
        // A box at the post office is a good address; the number is of those reserved for drama.
        self::assertSame([ContactFinding::PhoneDoubtful], self::tags($contact->findings()));
    }

    public function test_it_says_in_what_another_differs_and_not_how_a_mailbox_is_capitalised(): void
    {
        $other = Contact::of(
            HolderKind::Organisation,
            'Wickerby Bell Foundry',
            null,
            Address::of(['PO Box 7'], 'Wickerby', null, 'WS1 4AB', Country::of('GB')),
            Phone::of('+44 1632 960124'),
            Mailbox::of('Ledger@Wickerby-Bells.com'),
        );
        self::assertSame([Field::Name, Field::Voice], self::whole()->differs($other));
    }

    public function test_only_another_name_organisation_or_mailbox_is_material(): void
    {
        $of = fn (HolderKind $kind, ?string $organisation, ?string $person, ?string $mailbox, ?string $town = null): Contact => Contact::of(
            $kind,
            $organisation,
            $person,
            Address::of([], $town),
            null,
            Mailbox::tryOf($mailbox),
        );
        $before = $of(HolderKind::Unknown, null, 'Bell Foundry', 'g@bells.com');
        self::assertFalse(
            MaterialChange::is($before, $of(HolderKind::Organisation, 'Bell Foundry', 'Gudrun Kettle', 'G@bells.com', 'Wickerby')),
            'a name that is found to be an organisation’s, and a person that was not known',
        );
        self::assertFalse(
            MaterialChange::is(
                $of(HolderKind::Organisation, 'Bell Foundry', null, null),
                $of(HolderKind::Organisation, 'Bell Foundry', null, 'g@bells.com'),
            ),
            'a mailbox that was not known',
        );
        foreach (
            [
                $of(HolderKind::Unknown, null, 'Kelp Farm', 'g@bells.com'),
                $of(HolderKind::Unknown, null, 'Bell Foundry', 'g@peal.com'),
                $of(HolderKind::Unknown, null, 'Bell Foundry', null),
            ] as $after
        ) {
            self::assertTrue(MaterialChange::is($before, $after));
        }
        self::assertTrue(
            MaterialChange::is(
                $of(HolderKind::Organisation, 'Bell Foundry', 'A', 'g@bells.com'),
                $of(HolderKind::Organisation, 'Bell Foundry', 'B', 'g@bells.com'),
            ),
        );
        // Whoever was told something that was known has it wrong once it is another; what was not known they may well have.
        self::assertFalse(
            MaterialChange::contradicts(
                $of(HolderKind::Unknown, null, 'Bell Foundry', 'g@bells.com'),
                $of(HolderKind::Organisation, 'Bell Foundry', 'Gudrun Kettle', 'g@bells.com', 'Wickerby'),
            ),
        );
        self::assertTrue(
            MaterialChange::contradicts(
                $of(HolderKind::Organisation, 'Bell Foundry', null, 'g@bells.com', 'Wickerby'),
                $of(HolderKind::Organisation, 'Bell Foundry', null, 'g@bells.com', 'Upper Wick'),
            ),
        );
        self::assertTrue(
            MaterialChange::contradicts(
                $of(HolderKind::Organisation, 'Bell Foundry', null, 'g@bells.com', 'Wickerby'),
                $of(HolderKind::Organisation, 'Bell Foundry', null, 'g@bells.com'),
            ),
        );
        self::assertTrue(
            MaterialChange::contradicts(
                $of(HolderKind::Organisation, 'Bell Foundry', null, 'g@bells.com'),
                $of(HolderKind::Organisation, 'Bell Foundry', null, 'other@bells.com'),
            ),
        );
        $written = fn (?LocalForm $local): Contact => Contact::of(HolderKind::Organisation, 'Bell Foundry', null, null, null, null, $local);
        $own = new LocalForm('Glockengießerei', null, Address::of(['Am Wick 4'], 'Wick', null, null, null));
        self::assertSame(
            [false, true, true, false],
            [
                MaterialChange::contradicts($written($own), $written($own)),
                MaterialChange::contradicts($written($own), $written(new LocalForm('Glocken', null, $own->address))),
                MaterialChange::contradicts($written($own), $written(null)),
                MaterialChange::contradicts($written(null), $written($own)),
            ],
        );
        $now = Instant::of('2026-10-06T15:00:00Z');
        $book = new Rulebook(__DIR__.'/../../../rulebook');
        $com = MaterialChange::of($book->for('com', $now), $now);
        // ICANN RAA 2013: 15 calendar days; Transfer Policy II.C.2: 60 days.
        self::assertSame(['2026-10-21', '2026-12-05'], [$com->verifyBy?->iso(), $com->holdUntil?->iso()]);
        self::assertNull(MaterialChange::of($book->for('de', $now), $now)->holdUntil);
    }

    public function test_what_lacks_or_does_not_agree_is_said(): void
    {
        $bare = Contact::of(HolderKind::Unknown, null, 'Gudrun Kettle');
        self::assertSame(
            ['contact.no_mailbox', 'contact.lacks'],
            array_map(fn (Finding $finding): string => $finding->key(), $bare->findings()),
        );
        self::assertSame(['what' => 'street, town, country, telephone'], $bare->findings()[1]->with);
        $of = fn (string $country, ?string $postcode, string $phone): array => self::tags(
            Contact::of(
                HolderKind::Person,
                null,
                'G',
                Address::of(['1'], 'T', null, $postcode, Country::of($country)),
                Phone::of($phone),
                Mailbox::of('g@kettle.example'),
            )->findings(TakesMail::Yes),
        );
        self::assertSame([], $of('DE', '10115', '+49 30 901820'));
        self::assertSame([ContactFinding::PostcodeElsewhere, ContactFinding::PhoneElsewhere], $of('DE', 'WS1 4AB', '+44 20 7946 0123'));
        self::assertSame([ContactFinding::PostcodeLacks], $of('DE', null, '+49 30 901820'));
        // A country without postcodes.
        self::assertSame([], $of('HK', null, '+852 2123 4567'));
        self::assertSame(
            [ContactFinding::TakesNoMail],
            self::tags(
                Contact::of(
                    HolderKind::Person,
                    null,
                    'G',
                    Address::of(['1'], 'T', null, null, Country::of('HK')),
                    Phone::of('+852 2123 4567'),
                    Mailbox::of('g@kettle.example'),
                )->findings(TakesMail::No),
            ),
        );
    }

    /** RFC 5321 §4.1.2 and §4.5.3.1.1. */
    #[TestWith(['ledger', 'is no mailbox'])]
    #[TestWith(['@wickerby-bells.com', 'is no mailbox'])]
    #[TestWith(['ledger@', 'is no mailbox'])]
    #[TestWith(['.ledger@bells.com', 'before the @'])]
    #[TestWith(['led..ger@bells.com', 'before the @'])]
    #[TestWith(['led ger@bells.com', 'before the @'])]
    #[TestWith(['glöckner@bells.com', 'before the @'])]
    #[TestWith(['aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa@bells.com', 'before the @'])]
    #[TestWith(['ledger@bells', 'after the @'])]
    #[TestWith(['ledger@[192.0.2.1]', 'after the @'])]
    public function test_what_is_no_mailbox_says_which_part(string $given, string $why): void
    {
        self::assertNull(Mailbox::tryOf($given));
        $this->expectExceptionMessage($why);
        Mailbox::of($given);
    }

    public function test_a_mailbox_knows_the_name_that_it_lies_in(): void
    {
        $mailbox = Mailbox::of(' Post.Box+7@Mail.Glockenwärts.co.uk ');
        self::assertSame(
            ['Post.Box+7@mail.xn--glockenwrts-s8a.co.uk', 'xn--glockenwrts-s8a.co.uk'],
            [$mailbox->address(), $mailbox->site()->ascii],
        );
        self::assertTrue($mailbox->equals(Mailbox::of('post.box+7@mail.glockenwärts.co.uk')));
    }

    public function test_telephones_are_written_as_registries_read_them(): void
    {
        self::assertSame(
            ['+44.1632960123x7', '+44 1632 960123 x7'],
            [Phone::of('+44.1632960123x7')->epp(), Phone::of('(01632) 960123 ext. 7', Country::of('GB'))->text()],
        );
        foreach (['12', '+999 123', 'call me', '01632 960123', ''] as $wrong) {
            try {
                Phone::of($wrong);
                self::fail("{$wrong} was taken");
            } catch (ContactError $e) {
                self::assertSame('voice', $e->field);
            }
        }
    }

    public function test_what_a_registry_does_not_take_is_refused_with_its_field(): void
    {
        $fields = [];
        foreach (
            [
                fn () => Country::of('ZZ'),
                fn () => Address::of(['1', '2', '3', '4']),
                fn () => Address::of([str_repeat('a', 256)]),
                fn () => Address::of([], null, null, str_repeat('1', 17)),
                fn () => Contact::of(HolderKind::Unknown, ' ', null),
                fn () => Contact::of(HolderKind::Unknown, null, str_repeat('a', 256)),
            ] as $wrong
        ) {
            try {
                $wrong();
                $fields[] = 'taken';
            } catch (ContactError $e) {
                $fields[] = $e->field;
            }
        }
        self::assertSame(['country', 'street', 'street', 'postcode', 'organisation', 'person'], $fields);
        self::assertSame('', implode(Address::of()->lines()));
        self::assertTrue(Address::of([' '])->isEmpty());
    }

    #[TestWith(['The Wickerby Bell-Foundry Ltd.', 'Wickerby bell foundry'])]
    #[TestWith(['Société Générale du Son S.A.', 'SOCIETE GENERALE DU SON'])]
    #[TestWith(['Müller & Söhne GmbH', 'Muller und Sohne'])]
    #[TestWith(['Kettle, Gudrun', 'Gudrun Kettle'])]
    #[TestWith(['O’Brien', "O'Brien"])]
    public function test_what_is_nearly_the_same_has_one_likeness(string $one, string $other): void
    {
        self::assertSame(Likeness::of($one), Likeness::of($other));
        self::assertNotSame('', Likeness::of($one));
    }

    public function test_what_differs_has_another_likeness(): void
    {
        self::assertNotSame(Likeness::of('Sound Kelp Farm'), Likeness::of('Sound Kelp Firm'));
        self::assertSame('', Likeness::of('…'));
        // What is nothing but a legal form is itself.
        self::assertSame('company the', Likeness::of('The Company'));
    }

    public function test_what_calls_itself_an_organisation_is_taken_for_one_and_nothing_is_taken_for_a_person(): void
    {
        self::assertSame(HolderKind::Organisation, HolderKind::guess('Gannet Head Observatory Trust'));
        self::assertSame(HolderKind::Organisation, HolderKind::guess('Harrow & Tern'));
        self::assertSame(HolderKind::Unknown, HolderKind::guess('Gudrun Kettle'));
    }

    public function test_a_guard_says_what_is_at_risk_dearest_first(): void
    {
        $name = DomainName::of('bells.com');
        $guard = fn (
            ?string $mailbox,
            ?string $site,
            HolderKind $kind = HolderKind::Organisation,
            ?Intent $intent = null,
            int $ring = 0,
            bool $known = true,
            TakesMail $takes = TakesMail::Unknown,
        ): array => self::tags((new Guard(1, $kind, 'G', $mailbox, $site, $takes, $intent, $ring, $known))->findings($name, true));
        self::assertSame([], $guard('g@peal.com', 'peal.com', intent: Intent::ByItself));
        self::assertSame([ContactFinding::MailboxInside], $guard('g@mail.bells.com', 'bells.com', intent: Intent::Lapse));
        self::assertSame(
            [ContactFinding::MailboxLapses, ContactFinding::MailboxRing],
            $guard('g@peal.com', 'peal.com', intent: Intent::Lapse, ring: 2),
        );
        self::assertSame(
            [ContactFinding::NoMailbox, ContactFinding::HolderPerson, ContactFinding::HolderUnknown],
            $guard(null, null, HolderKind::Person, known: false),
        );
        self::assertSame([ContactFinding::TakesNoMail], $guard('g@peal.com', 'peal.com', takes: TakesMail::No));
        self::assertSame(
            [],
            self::tags((new Guard(1, HolderKind::Person, 'G', 'g@peal.com', 'peal.com'))->findings($name, servesOrganisation: false)),
        );
    }

    public function test_rings_of_any_length_are_found_once_each(): void
    {
        self::assertSame([], Rings::of([1 => 1, 2 => 1, 3 => 2]));
        self::assertSame([[1, 2], [3, 5, 4]], Rings::of([5 => 4, 4 => 3, 3 => 5, 2 => 1, 1 => 2, 9 => 1, 8 => 9, 7 => 99]));
        $long = [];
        for ($at = 0; $at < 100_000; $at++) {
            $long[$at] = ($at + 1) % 100_000;
        }
        self::assertCount(100_000, Rings::of($long)[0]);
    }

    public function test_every_ring_found_by_walking_from_each_name_is_found(): void
    {
        mt_srand(1127);
        for ($round = 0; $round < 200; $round++) {
            $leads = [];
            for ($at = 0; $at < 12; $at++) {
                if (mt_rand(0, 4) > 0) {
                    $leads[$at] = mt_rand(0, 12);
                }
            }
            $members = array_merge([], ...Rings::of($leads));
            foreach (array_keys($leads) as $start) {
                $steps = 0;
                $at = $leads[$start];
                while ($at !== $start && isset($leads[$at]) && $steps++ < 20) {
                    $at = $leads[$at];
                }
                $isRing = $at === $start && $leads[$start] !== $start;
                self::assertSame($isRing, in_array($start, $members, true), json_encode([$start, $leads], JSON_THROW_ON_ERROR));
            }
        }
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<mixed>
     */
    private static function tags(array $findings): array
    {
        return array_map(fn (Finding $finding): mixed => $finding->tag, $findings);
    }
}
