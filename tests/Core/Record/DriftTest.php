<?php

declare(strict_types=1);

namespace Tests\Core\Record;

use Acre\Core\Contact\Address;
use Acre\Core\Contact\Contact;
use Acre\Core\Contact\Country;
use Acre\Core\Contact\Field;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Mailbox;
use Acre\Core\Contact\Phone;
use Acre\Core\Disclosure\Pattern;
use Acre\Core\Disclosure\PublishedRecord;
use Acre\Core\Finding\Cost;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Name\DomainName;
use Acre\Core\Record\Certainty;
use Acre\Core\Record\Drift;
use Acre\Core\Record\DriftField;
use Acre\Core\Record\FieldSeen;
use Acre\Core\Record\Held;
use Acre\Core\Record\Record;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Record\Seen;
use Acre\Core\Record\Source;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Core\Given;

/** Where the outside and our books disagree, how sure that is, and what is no disagreement although it looks like one. */
final class DriftTest extends TestCase
{
    private const SERVERS = ['ns1.sound.example', 'ns2.sound.example'];

    /**
     * @param  list<Status>  $statuses
     * @param  list<string>  $servers
     * @param  array<string, Instant>  $written
     */
    private static function held(
        ?string $ends = '2027-11-02',
        array $statuses = [],
        Lock $lock = Lock::On,
        array $servers = self::SERVERS,
        bool $moving = false,
        array $written = [],
        ?string $created = '2020-11-02',
        Intent $intent = Intent::WhenTold,
    ): Held {
        $at = fn (?string $day): ?Instant => $day === null ? null : Instant::of($day);

        return new Held(
            new NameFacts(DomainName::of('wickerby-bells.com'), $at($created), $at($ends), null, $statuses, $lock, $intent),
            $servers,
            'Pellbridge',
            ['Anchorage', 'ANCHOR-TAG', '990207'],
            $moving,
            $written,
        );
    }

    /**
     * @param  list<Status>  $statuses
     * @param  list<string>|null  $servers
     */
    private static function record(
        ?string $ends = '2027-11-02T04:12:09Z',
        array $statuses = [Status::ClientTransferProhibited],
        ?array $servers = ['NS2.sound.example', 'ns1.sound.example'],
        ?string $registrar = 'Anchorage',
        ?string $tag = null,
        ?bool $validated = null,
        Source $source = Source::Registry,
        ?string $created = '2020-11-02T10:00:00Z',
        ?string $paid = null,
    ): Record {
        $at = fn (?string $day): ?Instant => $day === null ? null : Instant::of($day);

        return new Record(
            'wickerby-bells.com',
            $source,
            $registrar,
            null,
            $tag,
            null,
            $statuses,
            [],
            $at($created),
            $at($ends),
            null,
            null,
            $servers === null ? null : array_map(strtolower(...), $servers),
            null,
            [],
            $validated,
            paid: $at($paid),
        );
    }

    /**
     * @param  Record|null  ...$records  of the registry first, then of the registrar
     * @return array<string, Certainty> by what was found
     */
    private static function drifts(Held $held, ?Record ...$records): array
    {
        $seen = array_map(
            fn (?Record $record): Seen => new Seen($record->source ?? Source::Registry, $record, Instant::of('2026-10-06T08:00:00Z')),
            $records,
        );
        $found = [];
        foreach (Drift::between($held, array_values($seen), Instant::of(Given::NOW)) as $drift) {
            $found[$drift->tag->value] = $drift->certainty;
        }

        return $found;
    }

    /**
     * @param  list<Field>|null  $told  null: not known
     * @param  array<string, FieldSeen>  $read  by field
     * @param  array<string, Instant>  $written
     * @return array<string, string> fields by what was found
     */
    private static function holders(?array $told, array $read, bool $privacy = false, array $written = []): array
    {
        $contact = Contact::of(
            HolderKind::Organisation,
            'Bell Foundry',
            'Gudrun Kettle',
            Address::of(['Foundry Lane 1'], 'Wickerby', null, 'WS1 4AB', Country::of('GB')),
            Phone::of('+44 1632 960114'),
            Mailbox::tryOf('ledger@bells.example'),
        );
        $published = PublishedRecord::of(
            $contact,
            Pattern::of($told ?? []),
            (new Rulebook(__DIR__.'/../../../rulebook'))->for('com', Instant::of('2026-10-06'))->published->value,
            $privacy,
        );
        $held = new Held(
            new NameFacts(DomainName::of('wickerby-bells.com'), Instant::of('2020-11-02'), Instant::of('2027-11-02'), null, [], Lock::On),
            self::SERVERS,
            'Pellbridge',
            ['Anchorage'],
            false,
            $written,
            $published,
            $told !== null,
        );
        $base = self::record();
        $record = new Record(
            $base->name,
            $base->source,
            $base->registrar,
            null,
            null,
            null,
            $base->statuses,
            [],
            $base->created,
            $base->ends,
            null,
            null,
            $base->servers,
            null,
            $read,
        );
        $found = [];
        foreach (
            Drift::between(
                $held,
                [new Seen(Source::Registry, $record, Instant::of('2026-10-06T08:00:00Z'))],
                Instant::of(Given::NOW),
            ) as $drift
        ) {
            $found[$drift->tag->value] = is_string($drift->finding->with['fields'] ?? null) ? $drift->finding->with['fields'] : '';
        }

        return $found;
    }

    public function test_what_is_read_of_the_holder_is_held_against_what_is_meant(): void
    {
        $shown = FieldSeen::shown(...);
        $hidden = FieldSeen::redacted(null);
        $right = ['organisation' => $shown('BELL  Foundry'), 'country' => $shown('GB'), 'name' => $hidden, 'street' => $hidden];
        self::assertSame([], self::holders([Field::Organisation, Field::Country], $right), 'letters and blanks are no difference');
        self::assertSame([], self::holders([Field::Organisation, Field::Country], []), 'a record that says nothing of a holder');
        self::assertSame(
            ['holder_differs' => 'organisation'],
            self::holders([Field::Organisation, Field::Country], ['organisation' => $shown('Peal Trust')] + $right),
        );
        self::assertSame(
            ['shown_more' => 'mailbox'],
            self::holders([Field::Organisation, Field::Country], $right + ['mailbox' => $shown('ledger@bells.example')]),
        );
        self::assertSame(
            ['hidden_more' => 'organisation'],
            self::holders([Field::Organisation, Field::Country], ['organisation' => $hidden] + $right),
        );
        // Not knowing what the registrar was told, only another value is a difference.
        self::assertSame(['holder_differs' => 'country'], self::holders(null, ['country' => $shown('FR')] + $right));
        // A privacy service's own words are nobody's to compare; the holder's, read nonetheless, are.
        self::assertSame([], self::holders([Field::Organisation], ['organisation' => $shown('Screens & Shutters')], privacy: true));
        self::assertSame(
            ['shown_more' => 'organisation'],
            self::holders([Field::Organisation], ['organisation' => $shown('Bell Foundry')], privacy: true),
        );
        // Common practice: a directory takes some days to show what a registrar was told.
        $written = fn (DriftField $field, string $day): array => [$field->value => Instant::of($day)];
        self::assertSame(
            [],
            self::holders(
                [Field::Country],
                ['mailbox' => $shown('ledger@bells.example'), 'country' => $shown('GB')],
                written: $written(DriftField::Disclosure, '2026-10-03T09:00:00Z'),
            ),
        );
        self::assertSame(
            ['shown_more' => 'mailbox'],
            self::holders(
                [Field::Country],
                ['mailbox' => $shown('ledger@bells.example'), 'country' => $shown('GB')],
                written: $written(DriftField::Disclosure, '2026-09-28T09:00:00Z'),
            ),
        );
        self::assertSame(
            [],
            self::holders(null, ['country' => $shown('FR')], written: $written(DriftField::Holder, '2026-10-05T09:00:00Z')),
        );
    }

    public function test_what_says_the_same_in_other_words_is_no_drift(): void
    {
        self::assertSame([], self::drifts(self::held(), self::record()));
        self::assertSame([], self::drifts(self::held(), self::record(registrar: null, tag: 'anchor-tag', statuses: [Status::Ok])));
        self::assertSame([], self::drifts(self::held(lock: Lock::Off), self::record(statuses: [Status::Ok, Status::AddPeriod])));
        // Deleted in the grace of a renewal that was by itself; some registries leave it a year ahead until it is gone (common practice).
        self::assertSame(
            [],
            self::drifts(
                self::held(statuses: [Status::RedemptionPeriod]),
                self::record(
                    statuses: [Status::ClientTransferProhibited, Status::RedemptionPeriod, Status::PendingDelete],
                    ends: '2028-11-02',
                ),
            ),
        );
        self::assertSame(
            [],
            self::drifts(self::held(), self::record(servers: null, ends: null, created: null)),
            'what a record does not say is no other word',
        );
    }

    /** @return iterable<string, array{Held, Record, RecordFinding}> */
    public static function differences(): iterable
    {
        yield 'sooner' => [self::held(), self::record(ends: '2026-11-02T04:12:09Z'), RecordFinding::EndsSooner];
        yield 'later' => [self::held(), self::record(ends: '2030-11-02T04:12:09Z'), RecordFinding::EndsLater];
        yield 'end not written' => [self::held(ends: null), self::record(), RecordFinding::EndNotWritten];
        yield 'elsewhere' => [self::held(), self::record(registrar: 'Farshore'), RecordFinding::OtherRegistrar];
        yield 'another tag' => [
            self::held(),
            self::record(registrar: null, tag: 'FAR', statuses: [Status::Ok]),
            RecordFinding::OtherRegistrar,
        ];
        yield 'servers' => [self::held(), self::record(servers: ['ns1.elsewhere.example']), RecordFinding::ServersChanged];
        yield 'no servers any more' => [self::held(), self::record(servers: []), RecordFinding::ServersChanged];
        yield 'servers not written' => [self::held(servers: []), self::record(), RecordFinding::ServersNotWritten];
        yield 'lock off outside' => [self::held(), self::record(statuses: [Status::Ok]), RecordFinding::LockIsOff];
        yield 'lock on outside' => [self::held(lock: Lock::Off), self::record(), RecordFinding::LockIsOn];
        yield 'lock not written' => [self::held(lock: Lock::NotKnown), self::record(), RecordFinding::LockNotWritten];
        yield 'registry holds' => [
            self::held(),
            self::record(statuses: [Status::ClientTransferProhibited, Status::ServerHold]),
            RecordFinding::HeldByRegistry,
        ];
        yield 'registrar holds' => [
            self::held(),
            self::record(statuses: [Status::ClientTransferProhibited, Status::ClientHold]),
            RecordFinding::HeldByRegistrar,
        ];
        yield 'somebody moves it' => [
            self::held(),
            self::record(statuses: [Status::ClientTransferProhibited, Status::PendingTransfer]),
            RecordFinding::TransferNotOurs,
        ];
        yield 'deleted' => [
            self::held(),
            self::record(statuses: [Status::ClientTransferProhibited, Status::RedemptionPeriod, Status::PendingDelete]),
            RecordFinding::Deleted,
        ];
        yield 'deleted, and known to be' => [
            self::held(statuses: [Status::RedemptionPeriod]),
            self::record(
                statuses: [
                    Status::ClientTransferProhibited,
                    Status::RedemptionPeriod,
                    Status::PendingDelete,
                    Status::ServerUpdateProhibited,
                ],
            ),
            RecordFinding::StatusSeen,
        ];
        yield 'deleted for good' => [
            self::held(),
            self::record(statuses: [Status::ClientTransferProhibited, Status::PendingDelete]),
            RecordFinding::FallsFree,
        ];
        yield 'a status more' => [
            self::held(),
            self::record(statuses: [Status::ClientTransferProhibited, Status::ServerUpdateProhibited]),
            RecordFinding::StatusSeen,
        ];
        yield 'a status less' => [self::held(statuses: [Status::ClientHold]), self::record(), RecordFinding::StatusGone];
        yield 'doubted' => [self::held(), self::record(validated: false), RecordFinding::HolderDoubted];
        yield 'registered otherwise' => [self::held(created: '2020-11-03'), self::record(), RecordFinding::CreatedDiffers];
    }

    #[DataProvider('differences')]
    public function test_each_difference_is_found_alone_and_surely(Held $held, Record $record, RecordFinding $finding): void
    {
        self::assertSame([$finding->value => Certainty::Sure], self::drifts($held, $record));
    }

    public function test_a_name_that_is_gone_from_its_registry_says_that_and_nothing_else(): void
    {
        self::assertSame(['not_in_directory' => Certainty::Sure], self::drifts(self::held(), null));
        self::assertSame([], Drift::between(self::held(), [], Instant::of(Given::NOW)), 'nobody answered: nothing is known');
    }

    /** RFC 3915 §3.1: the registry adds a year by itself at the end, and takes it back when the registrar deletes the name. */
    public function test_the_year_that_a_registry_adds_by_itself_is_no_renewal(): void
    {
        $late = self::held(ends: '2026-10-02');
        $statuses = [Status::ClientTransferProhibited, Status::AutoRenewPeriod];
        self::assertSame([], self::drifts($late, self::record(ends: '2027-10-02T00:00:00Z', statuses: $statuses)));
        self::assertSame(
            ['ends_later'],
            array_keys(self::drifts($late, self::record(ends: '2027-10-02T00:00:00Z'))),
            'without that status it is one',
        );
        self::assertSame(
            [],
            self::drifts(self::held(ends: '2027-10-02'), self::record(ends: '2027-10-02T00:00:00Z', statuses: $statuses)),
            'whoever wrote the registry’s own end looked there',
        );
    }

    /** RFC 3915 §3.1; a registry that sells two years at least renews by two, and one of 29 February comes back to that day. */
    public function test_the_term_that_a_registry_adds_is_its_own_least_one(): void
    {
        $found = fn (string $created, string $held, string $seen, int $least): array => array_map(
            fn (Drift $drift): string => $drift->tag->value,
            Drift::between(
                new Held(
                    new NameFacts(DomainName::of('wickerby-bells.com'), Instant::of($created), Instant::of($held), lock: Lock::Off),
                    self::SERVERS,
                    'Pellbridge',
                    ['Anchorage'],
                    false,
                    leastMonths: 12 * $least,
                ),
                [
                    new Seen(
                        Source::Registry,
                        self::record(ends: $seen, statuses: [Status::Ok, Status::AutoRenewPeriod], created: $created),
                        Instant::of('2028-03-02T08:00:00Z'),
                    ),
                ],
                Instant::of('2028-03-02T09:00:00Z'),
            ),
        );
        self::assertSame([], $found('2024-02-29', '2028-02-29', '2029-02-28', 1));
        self::assertSame([], $found('2024-02-28', '2028-02-28', '2029-02-28', 1));
        self::assertSame([], $found('2024-02-28', '2028-02-28', '2030-02-28', 2));
        self::assertSame(['ends_later'], $found('2024-02-28', '2028-02-28', '2030-02-28', 1));
        self::assertSame(['ends_later'], $found('2024-02-29', '2028-02-29', '2030-02-28', 1));
    }

    /**
     * Of the event “registrar expiration” (IANA’s RDAP JSON values, from memory): the registry’s end is a year ahead, the registrar knows
     * whether it was paid.
     */
    public function test_a_registrar_that_was_paid_says_more_than_the_registry(): void
    {
        $registry = fn (string $ends, Status ...$statuses): Record => self::record(ends: $ends, statuses: array_values($statuses));
        $registrar = fn (?string $paid): Record => self::record(
            ends: $paid ?? '2027-10-02T00:00:00Z',
            source: Source::Registrar,
            paid: $paid,
        );
        $late = self::held(ends: '2026-10-02', lock: Lock::Off);
        $grace = $registry('2027-10-02T00:00:00Z', Status::Ok, Status::AutoRenewPeriod);
        self::assertSame(['renewed' => Certainty::Sure], self::drifts($late, $grace, $registrar('2027-10-02T00:00:00Z')));
        self::assertSame([], self::drifts($late, $grace, $registrar('2026-10-02T00:00:00Z')), 'not paid yet');
        self::assertSame([], self::drifts($late, $grace, $registrar(null)), 'it copies what the registry says');
        self::assertSame([], self::drifts($late, $grace, $registrar('2028-10-02T00:00:00Z')), 'what the registry doesn’t bear out');
        self::assertSame(
            [],
            self::drifts(
                self::held(ends: '2026-10-02', statuses: [Status::RedemptionPeriod]),
                $registry('2027-10-02T00:00:00Z', Status::ClientTransferProhibited, Status::RedemptionPeriod),
                $registrar('2027-10-02T00:00:00Z'),
            ),
        );
        self::assertSame(
            ['renewed' => Certainty::Sure],
            self::drifts(self::held(), self::record(ends: '2030-11-02T00:00:00Z'), $registrar('2030-11-02T00:00:00Z')),
            'before its end',
        );
        self::assertSame(
            ['ends_later' => Certainty::Split],
            self::drifts(self::held(), self::record(ends: '2030-11-02T00:00:00Z'), $registrar('2027-11-02T00:00:00Z')),
        );
        // What was to renew by itself, and has not; a charge is to be seen within a day or two (common practice).
        $meant = fn (string $ends): Held => self::held(ends: $ends, lock: Lock::Off, intent: Intent::ByItself);
        self::assertSame(
            ['not_renewed' => Certainty::Sure],
            self::drifts($meant('2026-10-02'), $grace, $registrar('2026-10-02T00:00:00Z')),
        );
        // Whoever wrote the registry's own end, a year ahead, is told that nobody has paid for it.
        self::assertSame(
            ['ends_sooner' => Certainty::Sure],
            self::drifts($meant('2027-10-02'), $grace, $registrar('2026-10-02T00:00:00Z')),
        );
        self::assertSame([], self::drifts($meant('2027-10-02'), $grace, $registrar('2027-10-02T00:00:00Z')), 'somebody has');
        self::assertSame(
            [],
            self::drifts(
                $meant('2027-10-05'),
                $registry('2027-10-05T00:00:00Z', Status::Ok, Status::AutoRenewPeriod),
                $registrar('2026-10-05T00:00:00Z'),
            ),
            'it ended yesterday',
        );
        self::assertSame(
            [],
            self::drifts(
                $meant('2026-10-05'),
                $registry('2027-10-05T00:00:00Z', Status::Ok, Status::AutoRenewPeriod),
                $registrar('2026-10-05T00:00:00Z'),
            ),
            'yesterday',
        );
        self::assertSame(
            [],
            self::drifts($meant('2027-10-02'), $registry('2027-10-02T00:00:00Z', Status::Ok), $registrar('2027-10-02T00:00:00Z')),
            'before its end',
        );
        self::assertSame([], self::drifts($meant('2026-10-02'), $grace, $registrar(null)), 'its registrar says nothing of that');
        self::assertSame(
            ['status_seen' => Certainty::Sure],
            self::drifts(
                $meant('2026-08-02'),
                $registry('2026-08-02T00:00:00Z', Status::Ok, Status::RedemptionPeriod),
                $registrar('2026-08-02T00:00:00Z'),
            ),
            'deleted by now, it has other cares',
        );
    }

    public function test_what_is_found_says_whether_a_name_was_paid_for(): void
    {
        $says = fn (bool $paid, ?Status $status = null): array => array_values(
            array_filter(RecordFinding::cases(), fn (RecordFinding $one): bool => $one->saysPaid($status) === $paid),
        );
        self::assertSame([RecordFinding::Renewed], $says(true));
        self::assertSame(
            [RecordFinding::NotInDirectory, RecordFinding::Deleted, RecordFinding::FallsFree, RecordFinding::NotRenewed],
            $says(false),
        );
        self::assertSame(
            [false, false, null, null],
            array_map(RecordFinding::StatusSeen->saysPaid(...), [
                Status::RedemptionPeriod,
                Status::PendingDelete,
                Status::ClientHold,
                null,
            ]),
        );
        self::assertNull(RecordFinding::StatusGone->saysPaid(Status::RedemptionPeriod), 'it was deleted, and is no more');
        self::assertSame(
            [RecordFinding::EndsLater, RecordFinding::Renewed],
            array_values(array_filter(RecordFinding::cases(), fn (RecordFinding $one): bool => $one->givesLaterEnd())),
        );
    }

    public function test_a_hold_on_a_name_past_its_end_is_no_alarm(): void
    {
        $record = self::record(ends: '2026-09-01T00:00:00Z', statuses: [Status::ClientTransferProhibited, Status::ServerHold]);
        self::assertSame(
            ['status_seen' => Certainty::Sure],
            self::drifts(self::held(ends: '2026-09-01'), $record),
            'its phase tells that it is dark',
        );
        self::assertSame(
            ['held_by_registry' => Certainty::Sure],
            self::drifts(self::held(), self::record(statuses: [Status::ClientTransferProhibited, Status::ServerHold])),
        );
    }

    /** RFC 3915 §3.1: a registrar that is not paid deletes the name in the grace after its end; that is its phase, and nobody's doing. */
    public function test_a_name_past_its_end_that_is_deleted_is_no_alarm(): void
    {
        $statuses = [Status::ClientTransferProhibited, Status::RedemptionPeriod, Status::PendingDelete];
        self::assertSame(
            ['status_seen' => Certainty::Sure],
            self::drifts(self::held(ends: '2026-09-01'), self::record(ends: '2026-09-01T00:00:00Z', statuses: $statuses)),
        );
        self::assertTrue(RecordFinding::Deleted->isAlarming() && RecordFinding::FallsFree->isAlarming());
        // Known to be in redemption, it is past it in time.
        self::assertSame(
            ['status_seen' => Certainty::Sure, 'status_gone' => Certainty::Sure],
            self::drifts(
                self::held(statuses: [Status::RedemptionPeriod]),
                self::record(statuses: [Status::ClientTransferProhibited, Status::PendingDelete]),
            ),
        );
    }

    /** What becomes of a name that nobody renews is no alarm where that was meant, and is one where it wasn't. */
    public function test_an_expected_lapse_alarms_nobody(): void
    {
        $alarming = function (Held $held, ?Record $record): array {
            $alarming = [];
            foreach (
                Drift::between(
                    $held,
                    [new Seen(Source::Registry, $record, Instant::of('2026-10-06T08:00:00Z'))],
                    Instant::of(Given::NOW),
                ) as $drift
            ) {
                $alarming[$drift->tag->value] = [$drift->isAlarming(), $drift->cost()];
            }

            return $alarming;
        };
        $lapsed = self::held(ends: '2026-09-01', intent: Intent::Lapse);
        self::assertSame(['not_in_directory' => [false, Cost::Attention]], $alarming($lapsed, null));
        self::assertSame(['not_in_directory' => [true, Cost::NameLost]], $alarming(self::held(ends: '2026-09-01'), null));
        self::assertSame(
            ['not_in_directory' => [true, Cost::NameLost]],
            $alarming(self::held(ends: '2027-09-01', intent: Intent::Lapse), null),
            'before its end nobody meant it',
        );
        $parked = self::record(ends: '2026-09-01T00:00:00Z', servers: ['ns1.parked.example'], registrar: 'Farshore');
        self::assertSame(
            ['other_registrar' => [false, Cost::Attention], 'servers_changed' => [false, Cost::Attention]],
            $alarming($lapsed, $parked),
        );
        // A transfer that somebody else started is an alarm of any name.
        self::assertSame(
            ['transfer_not_ours' => [true, Cost::NameLost]],
            $alarming(
                $lapsed,
                self::record(ends: '2026-09-01T00:00:00Z', statuses: [Status::ClientTransferProhibited, Status::PendingTransfer]),
            ),
        );
    }

    public function test_our_own_movement_is_no_alarm(): void
    {
        self::assertSame(
            [],
            self::drifts(self::held(moving: true), self::record(statuses: [Status::ClientTransferProhibited, Status::PendingTransfer])),
        );
    }

    /**
     * Common practice: what is done at a registrar takes up to twenty minutes to be seen elsewhere.
     *
     * @param  list<string>  $found
     */
    #[TestWith(['2026-10-06T08:00:00Z', []], 'at that moment')]
    #[TestWith(['2026-10-06T07:40:01Z', []], 'nearly twenty minutes later')]
    #[TestWith(['2026-10-06T07:40:00Z', ['lock_is_off']], 'after twenty minutes')]
    #[TestWith(['2026-10-06T08:00:01Z', ['lock_is_off']], 'looked for before it was done')]
    #[TestWith(['2026-10-06', ['lock_is_off']], 'of what is typed only the day is known')]
    public function test_what_was_done_a_moment_ago_need_not_be_seen_yet(string $written, array $found): void
    {
        $seen = [new Seen(Source::Registry, self::record(statuses: [Status::Ok]), Instant::of('2026-10-06T08:00:00Z'))];
        $drifts = Drift::between(
            self::held(written: [DriftField::Lock->value => Instant::of($written)]),
            $seen,
            Instant::of('2026-10-06T08:00:01Z'),
        );
        self::assertSame($found, array_map(fn (Drift $drift): string => $drift->tag->value, $drifts));
        self::assertSame(
            [RecordFinding::OtherRegistrar, RecordFinding::LockIsOff],
            array_map(
                fn (Drift $drift): RecordFinding => $drift->tag,
                Drift::between(
                    self::held(written: [DriftField::Ends->value => Instant::of('2026-10-06T08:00:00Z')]),
                    [
                        new Seen(
                            Source::Registry,
                            self::record(statuses: [Status::Ok], registrar: 'Farshore'),
                            Instant::of('2026-10-06T08:00:00Z'),
                        ),
                    ],
                    Instant::of('2026-10-06T08:00:00Z'),
                ),
            ),
            'what was not touched is said at once',
        );
    }

    public function test_how_sure_it_is(): void
    {
        $registry = self::record(ends: '2030-11-02T00:00:00Z');
        self::assertSame(
            ['ends_later' => Certainty::Split],
            self::drifts(self::held(), $registry, self::record(source: Source::Registrar)),
            'the registrar says as we do',
        );
        self::assertSame(
            ['ends_later' => Certainty::Sure],
            self::drifts(self::held(), $registry, self::record(ends: '2030-11-02T00:00:00Z', source: Source::Registrar)),
        );
        self::assertSame(
            ['ends_later' => Certainty::Stale],
            self::drifts(self::held(written: [DriftField::Ends->value => Instant::of('2026-10-06T08:30:00Z')]), $registry),
            'ours was written after it was seen',
        );
        $old = Drift::between(self::held(), [new Seen(Source::Registry, $registry, Instant::of('2026-08-01'))], Instant::of(Given::NOW));
        self::assertSame(Certainty::Stale, $old[0]->certainty);
    }

    public function test_what_costs_most_comes_first_and_only_some_of_it_is_alarming(): void
    {
        $all = Drift::between(
            self::held(),
            [
                new Seen(
                    Source::Registry,
                    self::record(
                        ends: '2030-11-02T00:00:00Z',
                        statuses: [Status::ServerHold],
                        servers: ['ns9.elsewhere.example'],
                        registrar: 'Farshore',
                    ),
                    Instant::of(Given::NOW),
                ),
            ],
            Instant::of(Given::NOW),
        );
        self::assertSame(
            ['other_registrar', 'held_by_registry', 'servers_changed', 'ends_later', 'lock_is_off'],
            array_map(fn (Drift $drift): string => $drift->tag->value, $all),
        );
        self::assertSame([true, true, true, false, false], array_map(fn (Drift $drift): bool => $drift->tag->isAlarming(), $all));
    }
}
