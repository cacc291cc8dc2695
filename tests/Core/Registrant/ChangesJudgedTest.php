<?php

declare(strict_types=1);

namespace Tests\Core\Registrant;

use Acre\Core\Contact\Address;
use Acre\Core\Contact\Contact;
use Acre\Core\Contact\Country;
use Acre\Core\Contact\Field;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Mailbox;
use Acre\Core\Contact\Phone;
use Acre\Core\Disclosure\DisclosureChange;
use Acre\Core\Disclosure\Pattern;
use Acre\Core\Disclosure\Steps;
use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Account;
use Acre\Core\Movement\Leg;
use Acre\Core\Movement\LegKind;
use Acre\Core\Record\FieldSeen;
use Acre\Core\Record\Record;
use Acre\Core\Record\RecordDifference;
use Acre\Core\Record\Source;
use Acre\Core\Registrant\DesignatedAgent;
use Acre\Core\Registrant\Guard;
use Acre\Core\Registrant\MaterialChange;
use Acre\Core\Registrant\RegistrantChange;
use Acre\Core\Rulebook\Published;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Rulebook\Side;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Changes to who stands behind a name and to what of them is read, judged before they are begun. */
final class ChangesJudgedTest extends TestCase
{
    private static function guard(HolderKind $kind = HolderKind::Organisation, ?string $mailbox = 'ledger@bells.example'): Guard
    {
        return new Guard(1, $kind, 'Bell Foundry', $mailbox, null);
    }

    private static function published(string $suffix): Published
    {
        return (new Rulebook(__DIR__.'/../../../rulebook'))->for($suffix, Instant::of('2026-10-06'))->published->value;
    }

    /**
     * @param  list<Finding>  $findings
     * @return array<string, array<string, mixed>> what each says, by its key
     */
    private static function said(array $findings): array
    {
        return array_combine(array_map(fn (Finding $finding): string => $finding->key(), $findings), array_column($findings, 'with'));
    }

    /**
     * @param  list<Field>  $wish
     * @param  list<Field>|null  $before
     * @return list<Finding>
     */
    private static function disclosed(
        string $suffix,
        array $wish,
        ?array $before = [],
        HolderKind $kind = HolderKind::Organisation,
        ?Steps $steps = null,
        bool $privacy = false,
        bool $agreed = false,
    ): array {
        $pattern = Pattern::of($wish);
        $change = new DisclosureChange(
            self::guard($kind),
            $pattern,
            ($steps ?? Steps::fieldByField())->nearest($pattern),
            $before === null ? null : Pattern::of($before),
            self::published($suffix),
            $privacy,
            $agreed,
        );

        return $change->findings($suffix, 'Northgate Names');
    }

    /** ICANN's Transfer Policy, II.A.1.1 (from memory): whoever stands there as an organisation is the legal holder. */
    public function test_an_organisation_entered_for_a_person_is_material(): void
    {
        $of = fn (?string $organisation, ?string $person, HolderKind $kind): Contact => Contact::of(
            $kind,
            $organisation,
            $person,
            null,
            null,
            Mailbox::tryOf('ledger@bells.example'),
        );
        self::assertTrue(
            MaterialChange::is(
                $of(null, 'Gudrun Kettle', HolderKind::Person),
                $of('Bell Foundry', 'Gudrun Kettle', HolderKind::Organisation),
            ),
        );
        self::assertFalse(
            MaterialChange::is($of(null, 'Bell Foundry', HolderKind::Unknown), $of('Bell Foundry', null, HolderKind::Organisation)),
            'what it was called was the organisation',
        );
        self::assertFalse(
            MaterialChange::is($of(null, null, HolderKind::Unknown), $of('Bell Foundry', null, HolderKind::Organisation)),
            'nobody knew who it was',
        );
    }

    public function test_showing_more_waits_for_the_holder_and_showing_less_for_nobody(): void
    {
        // ICANN Registration Data Policy §9.2: more than the least is shown on the registrant's word only.
        $more = self::disclosed('com', [Field::Organisation, Field::Mailbox, Field::Region, Field::Country], [Field::Mailbox]);
        self::assertSame(['disclosure.needs_consent' => ['fields' => 'organisation', 'who' => 'Bell Foundry']], self::said($more));
        self::assertSame(Effect::Stops, $more[0]->effect);
        self::assertSame([], self::disclosed('com', [Field::Organisation, Field::Region, Field::Country], agreed: true));
        $less = self::disclosed('com', [Field::Region, Field::Country], [Field::Organisation, Field::Mailbox]);
        self::assertSame(
            [['disclosure.business_hidden' => ['who' => 'Bell Foundry']], Effect::Worth],
            [self::said($less), $less[0]->effect],
            'less waits for nobody',
        );
        self::assertSame(
            [],
            self::disclosed('com', [Field::Organisation, Field::Region, Field::Country], [Field::Organisation, Field::Mailbox]),
        );
        self::assertSame(
            'organisation, mailbox',
            self::said(self::disclosed('com', [Field::Organisation, Field::Mailbox, Field::Region, Field::Country], null))[
                'disclosure.needs_consent'
            ]['fields'],
            'what is not known today counts as hidden',
        );
    }

    public function test_what_the_suffix_decides_is_said_before(): void
    {
        $com = self::said(self::disclosed('com', []));
        self::assertSame(['disclosure.always_shown' => ['suffix' => 'com', 'fields' => 'region, country']], $com);
        // Common practice: the one shows nothing of a holder, the other everything; neither asks.
        foreach (['de', 'us'] as $suffix) {
            $none = self::disclosed($suffix, Field::cases());
            self::assertSame([['disclosure.no_choice' => ['suffix' => $suffix]], Effect::Stops], [self::said($none), $none[0]->effect]);
        }
        $rules = Published::read([
            'organisation' => [
                'choice' => ['name', 'organisation'],
                'redacted' => ['street', 'town', 'region', 'postcode', 'country', 'voice', 'mailbox'],
            ],
            'person' => [
                'choice' => ['name'],
                'redacted' => ['organisation', 'street', 'town', 'region', 'postcode', 'country', 'voice', 'mailbox'],
            ],
        ]);
        $of = fn (HolderKind $kind): array => self::said(
            (new DisclosureChange(
                self::guard($kind),
                Pattern::of([Field::Name, Field::Voice]),
                Pattern::of([Field::Name, Field::Voice]),
                null,
                $rules,
                false,
                true,
            ))->findings('example', 'Northgate Names'),
        );
        self::assertSame(['disclosure.never_shown' => ['suffix' => 'example', 'fields' => 'voice']], $of(HolderKind::Organisation));
        self::assertSame(
            ['disclosure.never_shown', 'disclosure.holder_kind_unknown'],
            array_keys($of(HolderKind::Unknown)),
            'it would redact less of an organisation',
        );
        self::assertSame(['disclosure.never_shown'], array_keys($of(HolderKind::Person)));
    }

    public function test_what_registrar_and_privacy_service_make_of_it_is_said_before(): void
    {
        $wish = [Field::Organisation, Field::Region, Field::Country];
        $coarse = Steps::of([Pattern::of([]), Pattern::of(Field::cases())]);
        $said = self::said(self::disclosed('com', $wish, steps: $coarse));
        self::assertSame(['registrar' => 'Northgate Names', 'fields' => DisclosureChange::NOTHING], $said['disclosure.coarser_step']);
        self::assertArrayNotHasKey('disclosure.needs_consent', $said, 'nothing more is shown than was');
        self::assertSame(
            ['disclosure.privacy_stands_in'],
            array_keys(self::said(self::disclosed('com', $wish, privacy: true, agreed: true))),
        );
    }

    private static function change(
        string $suffix,
        ?string $mailbox = 'desk@peal.example',
        ?Guard $prior = null,
        bool $declinable = false,
        ?int $moving = null,
        bool $whole = true,
        DesignatedAgent $agent = DesignatedAgent::Nobody,
        bool $authority = true,
    ): RegistrantChange {
        $now = Instant::of('2026-10-06T15:00:00Z');
        $address = $whole ? Address::of(['Foundry Lane 1'], 'Wickerby', null, 'WS1 4AB', Country::of('GB')) : Address::of([], null);
        $new = Contact::of(
            HolderKind::Organisation,
            'Peal Trust',
            null,
            $address,
            $whole ? Phone::of('+44 20 7946 0123') : null,
            Mailbox::tryOf($mailbox),
        );

        return new RegistrantChange(
            $new,
            $prior,
            MaterialChange::of((new Rulebook(__DIR__.'/../../../rulebook'))->for($suffix, $now), $now),
            $agent,
            Instant::of('2026-10-20'),
            true,
            $authority,
            $declinable,
            $moving,
        );
    }

    private static function at(bool $byWire = false): Account
    {
        return new Account(1, 1, 'Northgate Names', '7', null, null, null, true, null, $byWire);
    }

    /** @return list<Finding> */
    private static function changed(
        string $suffix,
        ?string $mailbox = 'desk@peal.example',
        ?Guard $prior = null,
        bool $declinable = false,
        ?int $moving = null,
        bool $whole = true,
        DesignatedAgent $agent = DesignatedAgent::Nobody,
        bool $authority = true,
    ): array {
        return self::change($suffix, $mailbox, $prior, $declinable, $moving, $whole, $agent, $authority)->findings($suffix, self::at());
    }

    /** @return list<string> */
    private static function legs(RegistrantChange $change): array
    {
        return array_map(fn (Leg $leg): string => "{$leg->kind->value} {$leg->actor->value} {$leg->by->date()}", $change->legs());
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function suffixes(): iterable
    {
        // ICANN Transfer Policy II: both confirm, and 60 days of hold; RAA 2013, accuracy specification: 15 days to verify.
        yield 'com' => ['com', ['registrant.both_confirm', 'registrant.starts_hold', 'registrant.starts_verification']];
        // From memory of the registries' own pages.
        yield 'co.uk' => ['co.uk', ['registrant.registry_confirms']];
        yield 'de' => ['de', ['registrant.new_confirms']];
    }

    /** @param  list<string>  $expected */
    #[DataProvider('suffixes')]
    public function test_who_confirms_and_what_it_starts_goes_by_the_suffix(string $suffix, array $expected): void
    {
        $findings = self::changed($suffix, prior: self::guard());
        self::assertSame($expected, array_keys(self::said($findings)));
        self::assertSame(
            [],
            array_filter($findings, fn (Finding $finding): bool => $finding->effect === Effect::Stops),
            'nothing of it is in the way',
        );
    }

    public function test_the_letters_name_both_mailboxes_and_the_day_after_which_it_may_move(): void
    {
        $said = self::said(self::changed('com', prior: self::guard()));
        self::assertEquals(
            ['prior' => 'ledger@bells.example', 'new' => 'desk@peal.example', 'by' => Instant::of('2026-10-20')],
            $said['registrant.both_confirm'],
        );
        self::assertEquals(Instant::of('2026-12-05'), $said['registrant.starts_hold']['until']);
        $declinable = self::said(self::changed('com', prior: self::guard(), declinable: true));
        self::assertSame(
            ['Northgate Names', false],
            [$declinable['registrant.hold_declinable']['registrar'], isset($declinable['registrant.starts_hold'])],
        );
    }

    /** RFC 5733 §3.2.1 and §4: a postal address has a city and a country. */
    public function test_by_wire_nobody_is_a_holder_without_town_and_country(): void
    {
        $findings = fn (bool $byWire, bool $whole): array => self::said(
            array_values(
                array_filter(
                    self::change('com', prior: self::guard(), whole: $whole)->findings('com', self::at($byWire)),
                    fn (Finding $finding): bool => $finding->effect === Effect::Stops,
                ),
            ),
        );
        self::assertSame(
            ['registrant.wire_wants_place' => ['registrar' => 'Northgate Names', 'who' => 'Peal Trust']],
            $findings(true, false),
        );
        self::assertSame([[], []], [$findings(true, true), $findings(false, false)]);
    }

    public function test_who_is_written_to_is_a_step_and_a_designated_agent_says_yes_in_their_stead(): void
    {
        // ICANN Transfer Policy II.A.1.2 and II.C.1: both sides, or their designated agent.
        $with = fn (DesignatedAgent $agent): RegistrantChange => self::change('com', prior: self::guard(), agent: $agent);
        self::assertSame(
            ['confirm_prior client 2026-10-20', 'confirm_new client 2026-10-20', 'registrant house 2026-10-21'],
            self::legs($with(DesignatedAgent::Nobody)),
        );
        self::assertSame(['confirm_new client 2026-10-20', 'registrant house 2026-10-21'], self::legs($with(DesignatedAgent::Prior)));
        self::assertSame(['confirm_prior client 2026-10-20', 'registrant house 2026-10-21'], self::legs($with(DesignatedAgent::New)));
        self::assertSame(['registrant house 2026-10-21'], self::legs($with(DesignatedAgent::Both)));
        self::assertSame(
            ['confirm_new client 2026-10-20', 'registrant house 2026-10-21'],
            self::legs(self::change('de', prior: self::guard(), agent: DesignatedAgent::Prior)),
        );
        self::assertSame(['registrant registry 2026-10-21'], self::legs(self::change('co.uk', prior: self::guard())));
        foreach (
            [
                'prior' => ['registrant.new_confirms', 'registrant.agent_confirms'],
                'new' => ['registrant.prior_confirms', 'registrant.agent_confirms'],
                'both' => ['registrant.agent_confirms'],
            ] as $agent => $expected
        ) {
            $said = self::said($with(DesignatedAgent::from($agent))->findings('com', self::at()));
            self::assertSame([...$expected, 'registrant.starts_hold', 'registrant.starts_verification'], array_keys($said));
            self::assertSame($agent, $said['registrant.agent_confirms']['whose']);
        }
        // As their agent nobody need be reached.
        self::assertArrayNotHasKey('registrant.prior_not_reached', self::said(self::changed('com', agent: DesignatedAgent::Prior)));
        $silent = self::changed('co.uk', prior: self::guard(), authority: false);
        self::assertSame(
            ['registrant.no_authority'],
            array_map(
                fn (Finding $finding): string => $finding->key(),
                array_values(array_filter($silent, fn (Finding $finding): bool => $finding->effect === Effect::Stops)),
            ),
        );
        self::assertArrayNotHasKey(
            'registrant.no_authority',
            self::said(self::changed('com', prior: self::guard(), authority: false)),
            'their letters are the authority',
        );
    }

    public function test_other_data_of_the_same_registrant_is_a_correction_unless_it_is_material(): void
    {
        $now = Instant::of('2026-10-06T15:00:00Z');
        $of = fn (string $town, string $mailbox): Contact => Contact::of(
            HolderKind::Organisation,
            'Peal Trust',
            null,
            Address::of(['Foundry Lane 1'], $town, null, 'WS1 4AB', Country::of('GB')),
            Phone::of('+44 20 7946 0123'),
            Mailbox::tryOf($mailbox),
        );
        $starts = MaterialChange::of((new Rulebook(__DIR__.'/../../../rulebook'))->for('com', $now), $now);
        $change = fn (
            Contact $told,
            bool $agreement = true,
            DesignatedAgent $agent = DesignatedAgent::Nobody,
        ): RegistrantChange => new RegistrantChange(
            $of('Upper Wick', 'desk@peal.example'),
            self::guard(),
            $starts,
            $agent,
            Instant::of('2026-10-20'),
            $agreement,
            false,
            false,
            null,
            $told,
        );
        // ICANN Transfer Policy II.A.1.3: an address is no material change, and asks nobody.
        $correction = $change($of('Wickerby', 'desk@peal.example'), false);
        self::assertSame(
            [['registrant.correction'], ['registrant house 2026-10-21']],
            [array_keys(self::said($correction->findings('com', self::at()))), self::legs($correction)],
        );
        // Another mailbox is one; whoever reads it says yes for both sides, being one.
        $material = $change($of('Upper Wick', 'old@peal.example'));
        self::assertSame(
            [
                ['registrant.new_confirms', 'registrant.starts_hold', 'registrant.starts_verification'],
                ['confirm_new client 2026-10-20', 'registrant house 2026-10-21'],
            ],
            [array_keys(self::said($material->findings('com', self::at()))), self::legs($material)],
        );
        self::assertContains(
            'registrant.no_agreement',
            array_keys(self::said($change($of('Upper Wick', 'old@peal.example'), false)->findings('com', self::at()))),
        );
        self::assertSame(
            ['registrant house 2026-10-21'],
            self::legs($change($of('Upper Wick', 'old@peal.example'), agent: DesignatedAgent::Both)),
        );
    }

    public function test_on_the_way_of_a_handover_the_words_come_first_and_the_other_registrant_before_the_offer(): void
    {
        $by = Instant::of('2026-10-20');
        $legs = fn (LegKind ...$kinds): array => array_values(
            array_map(fn (LegKind $kind): Leg => new Leg($kind, Actor::House, $by), $kinds),
        );
        $kinds = fn (LegKind ...$handover): array => array_map(
            fn (Leg $leg): string => $leg->kind->value,
            self::change('com', prior: self::guard())->legsWithin($legs(...$handover)),
        );
        self::assertSame(
            ['confirm_prior', 'confirm_new', 'lift_lock', 'registrant', 'offer', 'accept'],
            $kinds(LegKind::LiftLock, LegKind::Offer, LegKind::Accept),
        );
        self::assertSame(['confirm_prior', 'confirm_new', 'registrant'], $kinds());
    }

    public function test_what_the_house_agrees_to_for_others(): void
    {
        $of = fn (string $suffix, DesignatedAgent $agent): array => array_map(
            fn (Side $side): string => $side->value,
            self::change($suffix, prior: self::guard(), agent: $agent)->agreedByHouse(),
        );
        self::assertSame(
            [[], ['prior'], ['prior', 'new']],
            [$of('com', DesignatedAgent::Nobody), $of('com', DesignatedAgent::Prior), $of('com', DesignatedAgent::Both)],
        );
        self::assertSame(
            [['new'], []],
            [$of('co.uk', DesignatedAgent::Nobody), $of('de', DesignatedAgent::Nobody)],
            'where nobody is written to, the house says who agreed',
        );
    }

    public function test_a_record_is_of_a_holder_by_what_it_shows_of_them(): void
    {
        $holder = Contact::of(HolderKind::Organisation, 'Peal Trust', 'Zoë Peal', null, null, Mailbox::tryOf('desk@peal.example'));
        $record = fn (?string $organisation, ?string $name = null): Record => new Record(
            'bell.com',
            Source::Registry,
            holder: ['country' => FieldSeen::shown('GB')] +
                array_map(FieldSeen::shown(...), array_filter(['organisation' => $organisation, 'name' => $name], is_string(...))),
        );
        self::assertTrue(RecordDifference::names($holder, $record('PEAL  trust')));
        self::assertFalse(RecordDifference::names($holder, $record('Peal Trust', 'Gudrun Kettle')));
        self::assertNull(RecordDifference::names($holder, $record(null)), 'it shows nobody');
    }

    public function test_what_is_in_the_way_of_it(): void
    {
        $none = self::changed('com', mailbox: null);
        self::assertSame(
            [['registrant.new_has_no_mailbox' => ['who' => 'Peal Trust']], Effect::Stops],
            [self::said($none), $none[0]->effect],
        );
        // ICANN Transfer Policy II.C.1.2: without the prior registrant's yes it must not be done.
        $unreached = self::changed('com', prior: self::guard(mailbox: null));
        self::assertSame(
            [['registrant.prior_not_reached', 'registrant.starts_hold', 'registrant.starts_verification'], Effect::Stops, 'Bell Foundry'],
            [array_keys(self::said($unreached)), $unreached[0]->effect, $unreached[0]->with['prior']],
        );
        self::assertSame(RegistrantChange::NOBODY, self::changed('com')[0]->with['prior'], 'nobody is written down');
        self::assertSame(
            [],
            array_filter(
                self::changed('de', prior: self::guard(mailbox: null)),
                fn (Finding $finding): bool => $finding->effect === Effect::Stops,
            ),
            'nobody asks them there',
        );
        $moving = self::changed('com', prior: self::guard(), moving: 12);
        self::assertSame([['docket' => 12], Effect::Stops], [$moving[0]->with, $moving[0]->effect]);
        self::assertSame(
            'street, town, country, telephone',
            self::said(self::changed('com', prior: self::guard(), whole: false))['registrant.new_lacks']['what'],
        );
    }
}
