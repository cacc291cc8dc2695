<?php

declare(strict_types=1);

namespace Tests\Core;

use Acre\Core\Contact\Address;
use Acre\Core\Contact\Country;
use Acre\Core\Contact\Mailbox;
use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\ServerSeen;
use Acre\Core\Drawing\Axis;
use Acre\Core\Drawing\Tick;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Movement\Confirms;
use Acre\Core\Movement\Handover;
use Acre\Core\Movement\HandoverTerms;
use Acre\Core\Movement\Leg;
use Acre\Core\Movement\MovementFinding;
use Acre\Core\Movement\ReceiverBy;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Core\Record\Certainty;
use Acre\Core\Record\Drift;
use Acre\Core\Record\Held;
use Acre\Core\Record\Pace;
use Acre\Core\Record\Record;
use Acre\Core\Record\Seen;
use Acre\Core\Record\Source;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use Acre\Core\Title\Chain;
use Acre\Core\Title\Holding;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The last day of each rule, and the first beyond it. */
final class EdgesTest extends TestCase
{
    private static function handover(
        string $ends,
        Intent $intent,
        string $answerBy,
        Lock $lock = Lock::Off,
        bool $lockFirst = false,
    ): Handover {
        return new Handover(
            Given::life(created: '2020-11-02', ends: $ends, intent: $intent, terms: Given::terms(), lock: $lock),
            Given::account(1),
            Given::account(2),
            new HandoverTerms(ReceiverBy::NumberLogin, Confirms::Receiver, lockFirst: $lockFirst),
            Instant::of($answerBy),
        );
    }

    /** Given's registrar charges seven days before the end. */
    #[TestWith(['2026-10-19', false])]
    #[TestWith(['2026-10-20', true], 'on the very day of the answer')]
    #[TestWith(['2026-10-21', true])]
    public function test_a_charge_until_the_day_of_the_answer_is_worth_knowing(string $answerBy, bool $isTold): void
    {
        $tags = array_map(
            fn (Finding $finding): object => $finding->tag,
            self::handover('2026-10-27', Intent::ByItself, $answerBy)->judge()->findings,
        );
        self::assertSame($isTold, in_array(MovementFinding::ChargedMeanwhile, $tags, true));
    }

    public function test_the_lock_is_set_again_the_day_after_the_answer(): void
    {
        $legs = self::handover('2027-11-02', Intent::WhenTold, '2026-10-20', Lock::On, true)->judge()->legs();
        self::assertSame(
            ['lift_lock 2026-10-20', 'offer 2026-10-20', 'accept 2026-10-20', 'set_lock 2026-10-21'],
            array_map(fn (Leg $leg): string => $leg->kind->value.' '.$leg->by->date(), $legs),
        );
    }

    private static function held(string $ends = '2027-11-02'): Held
    {
        return new Held(
            new NameFacts(DomainName::of('bell.com'), Instant::of('2020-11-02'), Instant::of($ends), lock: Lock::On),
            ['ns1.sound.example'],
            'Pellbridge',
            ['Anchorage'],
            false,
        );
    }

    private static function record(
        string $registrar = 'Anchorage',
        string $ends = '2027-11-02T00:00:00Z',
        Source $source = Source::Registry,
        ?string $paid = null,
    ): Record {
        return new Record(
            'bell.com',
            $source,
            $registrar,
            statuses: [Status::ClientTransferProhibited],
            created: Instant::of('2020-11-02T00:00:00Z'),
            ends: Instant::of($ends),
            servers: ['ns1.sound.example'],
            paid: $paid === null ? null : Instant::of($paid),
        );
    }

    /** The house's own choice: three weeks. */
    #[TestWith(['2026-09-15T09:00:00Z', Certainty::Sure], 'twenty-one days')]
    #[TestWith(['2026-09-15T08:59:59Z', Certainty::Stale], 'and a second')]
    public function test_what_was_seen_is_old_after_three_weeks(string $seen, Certainty $certainty): void
    {
        self::assertSame(
            $certainty,
            Drift::between(
                self::held(),
                [new Seen(Source::Registry, self::record('Farshore'), Instant::of($seen))],
                Instant::of(Given::NOW),
            )[0]->certainty,
        );
    }

    public function test_of_two_answers_of_one_side_the_newer_counts(): void
    {
        $of = fn (string ...$days): array => array_map(
            fn (string $day, int $place): Seen => new Seen(
                Source::Registry,
                self::record($place === 0 ? 'Farshore' : 'Anchorage'),
                Instant::of($day),
            ),
            array_values($days),
            array_keys(array_values($days)),
        );
        $tags = fn (array $seen): array => array_map(
            fn (Drift $drift): string => $drift->tag->value,
            Drift::between(
                self::held(),
                array_values(array_filter($seen, fn (mixed $one): bool => $one instanceof Seen)),
                Instant::of(Given::NOW),
            ),
        );
        self::assertSame([], $tags($of('2026-10-04T09:00:00Z', '2026-10-05T09:00:00Z')));
        self::assertSame(['other_registrar'], $tags($of('2026-10-05T09:00:00Z', '2026-10-04T09:00:00Z')));
    }

    /** A registrar's word that it was paid counts as far as its registry bears it out. */
    public function test_a_term_that_was_paid_counts_up_to_what_the_registry_has(): void
    {
        $tags = fn (string $paid, string $ends): array => array_map(
            fn (Drift $drift): string => $drift->tag->value,
            Drift::between(
                self::held(),
                [
                    new Seen(Source::Registry, self::record(ends: $ends), Instant::of(Given::NOW)),
                    new Seen(Source::Registrar, self::record(source: Source::Registrar, ends: $ends, paid: $paid), Instant::of(Given::NOW)),
                ],
                Instant::of(Given::NOW),
            ),
        );
        self::assertSame(['renewed'], $tags('2028-11-02T00:00:00Z', '2028-11-02T00:00:00Z'));
        self::assertSame([], $tags('2028-11-02T00:00:00Z', '2027-11-02T00:00:00Z'), 'its registry has it a year shorter');
    }

    /** The longest that a registry of the rulebook leaves a name before it deletes it. */
    #[TestWith(['2026-08-22T09:00:00Z', '2026-08-22'], 'forty-five days before it was seen')]
    #[TestWith(['2026-08-22T08:59:59Z', '2026-10-06'], 'and a second')]
    public function test_a_change_long_before_was_no_deletion(string $changed, string $since): void
    {
        self::assertSame(
            $since,
            (new Record('a.com', Source::Registry, statuses: [Status::RedemptionPeriod], changed: Instant::of($changed)))
                ->deletedSince(Instant::of(Given::NOW))
                ?->date(),
        );
    }

    /** The house's own choice: ten days before and after. */
    #[TestWith(['2026-10-16', Pace::Daily])]
    #[TestWith(['2026-10-17', Pace::Weekly])]
    #[TestWith(['2026-10-20', Pace::Weekly])]
    public function test_a_date_is_near_for_ten_days(string $ends, Pace $pace): void
    {
        $life = Given::life(created: '2018-10-20', ends: $ends, now: Given::NOW);
        self::assertSame($pace, Pace::of($life, false, false, null, Instant::of(Given::NOW)));
    }

    public function test_a_holding_since_ever_comes_before_all_others(): void
    {
        $of = fn (string $client, ?string $from, ?string $until): Holding => new Holding(
            'Skerry 40718',
            $client,
            Span::of($from === null ? null : Instant::of($from), $until === null ? null : Instant::of($until)),
            null,
        );
        $chain = Chain::of([$of('third', '2025-03-03', null), $of('second', '1960-01-01', '2025-03-03'), $of('first', null, '1960-01-01')]);
        self::assertSame(['first', 'second', 'third'], array_map(fn (Holding $holding): string => $holding->client, $chain->holdings));
        self::assertSame('first', $chain->on(Instant::of('1959-12-31'))?->client);
    }

    /**
     * RFC 2182 §3.1 gives no figure; a /24 is the house's own choice.
     *
     * @param  list<string>  $found
     */
    #[TestWith(['192.0.2.200', ['one_network']])]
    #[TestWith(['192.0.3.1', []])]
    #[TestWith(['192.1.2.1', []])]
    public function test_one_network_is_a_slash_24(string $address, array $found): void
    {
        $hosts = ['ns1.a.example', 'ns2.b.example'];
        $server = fn (string $host, string $address): ServerSeen => new ServerSeen($host, $address, Answer::Authoritative, 7, $hosts);
        self::assertSame(
            $found,
            array_map(
                fn (Finding $finding): string => (string) $finding->tag->value,
                (new DelegationSeen('a.com', $hosts, 3600, [], [
                    $server($hosts[0], '192.0.2.1'),
                    $server($hosts[1], $address),
                ]))->findings(Instant::of('2026-10-06T09:00:00Z')),
            ),
        );
    }

    /** Each flag of a rulebook's file is the rule of that name, and no other. */
    public function test_a_flag_is_read_as_the_rule_of_its_name(): void
    {
        $folder = sys_get_temp_dir().'/acre-flags-'.bin2hex(random_bytes(4));
        mkdir($folder);
        $uk = (string) file_get_contents(__DIR__.'/../../rulebook/uk.yaml');
        $flags = ['shows_end', 'has_lock', 'privacy_allowed', 'presence_needed', 'servers_checked', 'secure_only', 'holder_validated'];
        foreach ($flags as $flag) {
            $text = str_replace('suffix: uk', 'suffix: '.str_replace('_', '-', $flag), $uk);
            foreach ($flags as $one) {
                $text = (string) preg_replace(
                    '/(  '.$one.':\n    - \{ value: )(?:true|false)/',
                    '${1}'.($one === $flag ? 'true' : 'false'),
                    $text,
                );
            }
            file_put_contents($folder.'/'.str_replace('_', '-', $flag).'.yaml', $text);
        }
        $book = new Rulebook($folder);
        foreach ($flags as $flag) {
            $rules = $book->for(str_replace('_', '-', $flag), Instant::of(Given::NOW));
            self::assertSame(
                [$flag => true],
                array_filter([
                    'shows_end' => $rules->showsEnd->value,
                    'has_lock' => $rules->hasLock->value,
                    'privacy_allowed' => $rules->privacyAllowed->value,
                    'presence_needed' => $rules->presenceNeeded->value,
                    'servers_checked' => $rules->serversChecked->value,
                    'secure_only' => $rules->secureOnly->value,
                    'holder_validated' => $rules->holderValidated->value,
                ]),
            );
            unlink($folder.'/'.str_replace('_', '-', $flag).'.yaml');
        }
        rmdir($folder);
    }

    public function test_an_address_is_empty_only_without_any_part(): void
    {
        self::assertTrue(Address::of([], null, null, null, null)->isEmpty());
        foreach (
            [
                [['4 Tenter Lane'], null, null, null, null],
                [[], 'Wickerby', null, null, null],
                [[], null, 'North Sound', null, null],
                [[], null, null, 'WS1 4AB', null],
                [[], null, null, null, Country::of('GB')],
            ] as $parts
        ) {
            self::assertFalse(Address::of(...$parts)->isEmpty());
        }
    }

    /** RFC 5321 §4.5.3.1.1: 64 octets before the @; RFC 1035 §2.3.4: 63 in a label. */
    public function test_the_longest_local_part_and_the_longest_label(): void
    {
        self::assertNotNull(Mailbox::tryOf(str_repeat('a', 64).'@bells.example'));
        self::assertNull(Mailbox::tryOf(str_repeat('a', 65).'@bells.example'));
        self::assertSame(67, strlen(DomainName::of(str_repeat('a', 63).'.com')->ascii));
        $this->expectException(NameError::class);
        DomainName::of(str_repeat('a', 64).'.com');
    }

    /** Of the public suffix list: everything directly below .ck is a suffix, but for www. */
    public function test_a_rule_with_a_star(): void
    {
        self::assertSame(['shop.ck', 'ck'], [DomainName::of('bell.shop.ck')->suffix(), DomainName::of('www.ck')->suffix()]);
    }

    public function test_years_are_labelled_as_often_as_there_is_room(): void
    {
        $axis = Axis::ofYears(Instant::of('2020-05-01'), Instant::of('2026-03-01'));
        $labels = fn (float $width): array => array_map(fn (Tick $tick): string => $tick->label, $axis->years($width));
        self::assertSame(['2020', '2021', '2022', '2023', '2024', '2025', '2026'], $labels(1_000));
        self::assertSame(['2020', '', '', '', '2024', '', ''], $labels(100));
        self::assertSame(
            [0.0, 100.0, 100.0],
            [$axis->at(Instant::of('2019-01-01')), $axis->at(Instant::of('2027-01-01')), $axis->at(Instant::of('2030-01-01'))],
        );
        self::assertSame(42.86, round($axis->at(Instant::of('2023-01-01')), 2));
    }

    public function test_a_record_differs_in_what_is_another(): void
    {
        $of = fn (
            ?string $registrar = 'Skerry',
            string $ends = '2027-11-02',
            array $statuses = [Status::Ok],
            ?array $servers = ['ns1.a.example'],
            ?bool $signed = false,
        ): Record => new Record(
            'bell.com',
            Source::Registry,
            $registrar,
            statuses: array_values(array_filter($statuses, fn (mixed $one): bool => $one instanceof Status)),
            ends: Instant::of($ends),
            servers: $servers === null ? null : array_values(array_filter($servers, is_string(...))),
            signed: $signed,
        );
        self::assertSame([], $of()->differsFrom($of()));
        self::assertSame(['registrar'], $of('Oriel')->differsFrom($of()));
        self::assertSame(['ends'], $of(ends: '2028-11-02')->differsFrom($of()));
        self::assertSame(['statuses', 'signed'], $of(statuses: [Status::ClientHold], signed: true)->differsFrom($of()));
        self::assertSame(['servers'], $of(servers: null)->differsFrom($of()));
    }
}
