<?php

declare(strict_types=1);

namespace Tests\Standin;

use Acre\Wire\Epp\Command\AccountInfo;
use Acre\Wire\Epp\Command\AccountUpdate;
use Acre\Wire\Epp\Command\AgreedFee;
use Acre\Wire\Epp\Command\Check;
use Acre\Wire\Epp\Command\ContactCreate;
use Acre\Wire\Epp\Command\ContactInfo;
use Acre\Wire\Epp\Command\ContactUpdate;
use Acre\Wire\Epp\Command\Delete;
use Acre\Wire\Epp\Command\Disclose;
use Acre\Wire\Epp\Command\DomainChange;
use Acre\Wire\Epp\Command\DomainCreate;
use Acre\Wire\Epp\Command\DomainInfo;
use Acre\Wire\Epp\Command\DomainRenew;
use Acre\Wire\Epp\Command\DomainUpdate;
use Acre\Wire\Epp\Command\FeeCheck;
use Acre\Wire\Epp\Command\HostAddresses;
use Acre\Wire\Epp\Command\HostCreate;
use Acre\Wire\Epp\Command\HostInfo;
use Acre\Wire\Epp\Command\HostUpdate;
use Acre\Wire\Epp\Command\KeyChange;
use Acre\Wire\Epp\Command\Login;
use Acre\Wire\Epp\Command\Logout;
use Acre\Wire\Epp\Command\Poll;
use Acre\Wire\Epp\Command\RestoreReport;
use Acre\Wire\Epp\Command\Transfer;
use Acre\Wire\Epp\Command\TransferStep;
use Acre\Wire\Epp\Data\AccountData;
use Acre\Wire\Epp\Data\Availability;
use Acre\Wire\Epp\Data\ContactData;
use Acre\Wire\Epp\Data\DomainData;
use Acre\Wire\Epp\Data\Fees;
use Acre\Wire\Epp\Data\HandoverData;
use Acre\Wire\Epp\Data\HostData;
use Acre\Wire\Epp\Data\NewEnd;
use Acre\Wire\Epp\Data\PendingAction;
use Acre\Wire\Epp\Data\PostalInfo;
use Acre\Wire\Epp\Data\SigningKey;
use Acre\Wire\Epp\Data\TransferData;
use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppFrame;
use Acre\Wire\Epp\EppFraming;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppObject;
use Acre\Wire\Epp\EppResponse;
use Acre\Wire\Xml\XmlNode;
use Closure;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use React\EventLoop\Loop;
use RuntimeException;
use Standin\Epp\EppServer;
use Standin\Epp\EppSession;
use Standin\Epp\OpenSessions;
use Standin\Registry\Prices;
use Standin\Registry\Registered;

/** The gate of the simulated registrar, as strict as the RFCs: each wrong thing gets the code that they name. */
final class GateTest extends TestCase
{
    private Gatehouse $gate;

    protected function setUp(): void
    {
        $this->gate = new Gatehouse();
    }

    protected function tearDown(): void
    {
        $this->gate->tearDown();
    }

    public function test_nothing_goes_before_login_and_no_second_one(): void
    {
        $session = $this->gate->session();
        self::assertSame(EppCode::Use, $session->say(new DomainInfo('a.com'))->code());
        self::assertSame(EppCode::Authentication, $session->login('40718', 'wrong one')->code());
        self::assertSame(EppCode::Done, $session->login('40718')->code());
        self::assertSame(EppCode::Use, $session->login('40718')->code());
        self::assertSame(EppCode::Ending, $session->say(new Logout())->code());
    }

    public function test_guessing_ends_the_session(): void
    {
        $session = $this->gate->session();
        $session->login('40718', 'guess a');
        $session->login('40718', 'guess b');
        self::assertSame(EppCode::AuthenticationClosing, $session->login('40718', 'guess c')->code());
        self::assertTrue($session->session->closes);
    }

    #[TestWith([
        '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><command><dance/><clTRID>ABC-1</clTRID></command></epp>',
        EppCode::UnknownCommand,
    ])]
    #[TestWith(['<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><command><info/><clTRID>ABC-1</clTRID></command></epp>', EppCode::Syntax])]
    #[TestWith([
        '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><command><info><x:info xmlns:x="urn:other"/></info></command></epp>',
        EppCode::UnimplementedService,
    ])]
    #[TestWith([
        '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><command><poll op="req"/><extension><x:x '
            .'xmlns:x="urn:other"/></extension></command></epp>',
        EppCode::UnimplementedExtension,
    ])]
    #[TestWith(['<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><command><poll op="perhaps"/></command></epp>', EppCode::ValueSyntax])]
    #[TestWith([
        '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><command><poll op="req"/><clTRID>x</clTRID></command></epp>',
        EppCode::ValueSyntax,
    ])]
    #[TestWith(['<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><command><poll op="req"/>', EppCode::Syntax])]
    #[TestWith(['<!DOCTYPE epp [<!ENTITY a "b">]><epp/>', EppCode::Syntax])]
    #[TestWith(['<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><hello/><hello/></epp>', EppCode::Syntax])]
    #[TestWith(['<epp xmlns="urn:ietf:params:xml:ns:epp-1.0" odd="1"><hello/></epp>', EppCode::Syntax])]
    #[TestWith(['<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"/>', EppCode::Syntax])]
    #[TestWith(['not XML', EppCode::Syntax])]
    public function test_what_is_malformed_gets_the_code_that_the_rfc_names(string $document, EppCode $code): void
    {
        $session = $this->gate->session();
        $session->login('40718');
        self::assertSame($code, $session->raw($document)->code());
    }

    public function test_a_name_from_its_creation_to_its_deletion(): void
    {
        $session = $this->gate->session('40718');
        $postal = new PostalInfo(
            false,
            'The Secretary',
            'Bell Foundry',
            ['4 Tenter Lane'],
            'Wickerby Sound',
            'North Sound',
            'WS1 4AB',
            'GB',
        );
        self::assertSame(
            EppCode::Done,
            $session->say(new ContactCreate('BF-1', [$postal], '+44.1632960114', 'a@b.example', 'secret'))->code(),
        );
        self::assertSame(EppCode::Exists, $session->say(new ContactCreate('BF-1', [$postal], null, 'a@b.example', 'secret'))->code());
        self::assertSame(
            EppCode::ValueSyntax,
            $session->say(new ContactCreate('BF-2', [$postal], '01632 960114', 'a@b.example', 'secret'))->code(),
        );
        self::assertSame(EppCode::Done, $session->say(new HostCreate('ns9.a.example', new HostAddresses(['192.0.2.9'])))->code());
        self::assertSame(EppCode::Done, $session->say(new HostInfo('ns9.a.example'))->code());
        self::assertSame(EppCode::DoesNotExist, $session->say(new HostInfo('ns8.a.example'))->code());
        $create = fn (string $name): DomainCreate => new DomainCreate($name, 2, ['ns9.a.example'], 'BF-1', [], 'opensesame');
        $made = $session->say($create('new-bell.com'));
        self::assertSame(EppCode::Done, $made->code());
        self::assertSame('2028-10-06', NewEnd::of($made)->ends?->format('Y-m-d'));
        self::assertSame(EppCode::Exists, $session->say($create('new-bell.com'))->code());
        $info = $session->say(new DomainInfo('new-bell.com'));
        $domain = DomainData::of($info);
        self::assertSame(
            ['BF-1', ['ns9.a.example'], ['ok', 'addPeriod'], 'opensesame'],
            [$domain->registrant, $domain->servers, $domain->statuses, $domain->code],
        );
        self::assertSame('40718', AccountData::of($info)?->number);
        self::assertSame(
            EppCode::ValueRange,
            $session->say(new DomainRenew('new-bell.com', new DateTimeImmutable('2027-10-06'), 1))->code(),
            'the date guards against renewing twice',
        );
        self::assertSame(
            '2029-10-06',
            NewEnd::of($session->say(new DomainRenew('new-bell.com', new DateTimeImmutable('2028-10-06'), 1)))->ends?->format('Y-m-d'),
        );
        self::assertSame(
            EppCode::ValueRange,
            $session->say(new DomainRenew('new-bell.com', new DateTimeImmutable('2029-10-06'), 9))->code(),
            'ten years ahead at most',
        );
        self::assertSame(EppCode::AssociationProhibits, $session->say(new Delete(EppObject::Contact, 'BF-1'))->code());
        self::assertSame(
            EppCode::Done,
            $session->say(new Delete(EppObject::Domain, 'new-bell.com'))->code(),
            'in its first days it is gone at once',
        );
        self::assertSame(EppCode::DoesNotExist, $session->say(new DomainInfo('new-bell.com'))->code());
        self::assertSame(EppCode::Done, $session->say(new ContactInfo('BF-1'))->code());
    }

    /** RFC 5731 §2.3 */
    public function test_statuses_prohibit_what_they_say(): void
    {
        $session = $this->gate->session('40718');
        $set = fn (string ...$statuses): EppCode => $session
            ->say(new DomainUpdate('bell.com', add: new DomainChange(statuses: array_values($statuses))))
            ->code();
        $lift = fn (string ...$statuses): EppCode => $session
            ->say(new DomainUpdate('bell.com', remove: new DomainChange(statuses: array_values($statuses))))
            ->code();
        self::assertSame(EppCode::MissingParameter, $session->say(new DomainUpdate('bell.com'))->code(), 'nothing is to be changed');
        self::assertSame(EppCode::Policy, $set('serverHold'));
        self::assertSame(EppCode::Policy, $set('pendingDelete'));
        self::assertSame(EppCode::ValueSyntax, $set('locked'));
        self::assertSame(EppCode::Done, $set('clientRenewProhibited', 'clientDeleteProhibited', 'clientUpdateProhibited'));
        self::assertSame(
            EppCode::StatusProhibits,
            $session->say(new DomainRenew('bell.com', new DateTimeImmutable('2027-11-02'), 1))->code(),
        );
        self::assertSame(EppCode::StatusProhibits, $session->say(new Delete(EppObject::Domain, 'bell.com'))->code());
        self::assertSame(
            EppCode::StatusProhibits,
            $session->say(new DomainUpdate('bell.com', add: new DomainChange(statuses: ['clientHold'])))->code(),
        );
        self::assertSame(EppCode::StatusProhibits, $lift('clientUpdateProhibited', 'clientDeleteProhibited'), 'with nothing else');
        self::assertSame(
            EppCode::StatusProhibits,
            $session
                ->say(new DomainUpdate('bell.com', remove: new DomainChange(statuses: ['clientUpdateProhibited']), code: 'another'))
                ->code(),
        );
        self::assertSame(
            EppCode::Done,
            $session->say(AccountUpdate::autoRenew('bell.com', false))->code(),
            'what the registrar alone knows is no update of the name',
        );
        self::assertSame(EppCode::Done, $lift('clientUpdateProhibited'), 'that status itself can be lifted');
        self::assertSame(EppCode::Policy, $lift('clientUpdateProhibited'));
        self::assertSame(EppCode::Policy, $set('clientRenewProhibited'));
    }

    public function test_another_accounts_name_is_told_in_part_and_not_changed(): void
    {
        $session = $this->gate->session('51877');
        $info = $session->say(new DomainInfo('bell.com'));
        self::assertSame(
            [null, null, '40718'],
            [DomainData::of($info)->registrant, DomainData::of($info)->code, DomainData::of($info)->sponsor],
        );
        self::assertNull(AccountData::of($info));
        self::assertSame(EppCode::Authorization, $session->say(AccountUpdate::autoRenew('bell.com', false))->code());
        self::assertSame(EppCode::InvalidAuthorization, $session->say(new DomainInfo('bell.com', 'wrong'))->code());
        self::assertSame(EppCode::Authorization, $session->say(new AccountInfo('40718'))->code());
        self::assertSame(EppCode::Done, $session->say(new AccountInfo('51877'))->code());
    }

    public function test_what_may_be_read_of_the_holder_is_said_by_the_name(): void
    {
        $session = $this->gate->session('40718');
        self::assertSame(EppCode::Done, $session->say(AccountUpdate::disclose('bell.com', ['organisation', 'country']))->code());
        self::assertSame(['organisation', 'country'], AccountData::of($session->say(new DomainInfo('bell.com')))?->shown);
        $session->say(AccountUpdate::disclose('bell.com', []));
        self::assertSame([], AccountData::of($session->say(new DomainInfo('bell.com')))->shown);
        // Nothing else of the name has changed with it.
        self::assertTrue(AccountData::of($session->say(new DomainInfo('bell.com')))->autoRenew);
    }

    public function test_a_handover_is_offered_accepted_and_told_to_both(): void
    {
        $giver = $this->gate->session('40718');
        self::assertSame(
            EppCode::Policy,
            $giver->say(AccountUpdate::handOver('bell.com', '51877', 'wickerby'))->code(),
            'number and login must belong together',
        );
        self::assertSame(EppCode::Pending, $giver->say(AccountUpdate::handOver('bell.com', '51877', 'wickerby-foundry'))->code());
        self::assertSame(EppCode::StatusProhibits, $giver->say(AccountUpdate::handOver('bell.com', '51877', 'wickerby-foundry'))->code());
        self::assertSame('51877', AccountData::of($giver->say(new DomainInfo('bell.com')))?->offeredTo);
        $this->gate->play('bell.com', 'accepts');
        self::assertSame('51877', DomainData::of($giver->say(new DomainInfo('bell.com')))->sponsor);
        $message = $giver->say(Poll::next());
        self::assertSame(
            [EppCode::AckToDequeue, 'accepted', '51877'],
            [$message->code(), HandoverData::of($message)?->state, HandoverData::of($message)?->to],
        );
        self::assertSame($message->message?->id, $giver->say(Poll::next())->message?->id, 'it stays until it is acknowledged');
        self::assertSame(EppCode::Done, $giver->say(Poll::kept($message->message->id ?? ''))->code());
        self::assertSame(EppCode::NoMessages, $giver->say(Poll::next())->code());
        self::assertSame(EppCode::DoesNotExist, $giver->say(Poll::kept($message->message->id ?? ''))->code());
        self::assertSame(2, $this->gate->session('51877')->say(Poll::next())->message?->count, 'the offer, and that it was accepted');
    }

    public function test_an_offer_that_nobody_answers_lapses(): void
    {
        $giver = $this->gate->session('40718');
        $giver->say(AccountUpdate::handOver('bell.com', '51877', 'wickerby-foundry'));
        $this->gate->days(15);
        $message = $giver->say(Poll::next());
        self::assertSame('lapsed', HandoverData::of($message)?->state);
        self::assertSame('40718', DomainData::of($giver->say(new DomainInfo('bell.com')))->sponsor);
        self::assertSame(EppCode::StatusProhibits, $giver->say(AccountUpdate::cancelHandover('bell.com'))->code());
    }

    public function test_an_offer_can_be_taken_back_and_goes_to_another_account_only(): void
    {
        $giver = $this->gate->session('40718');
        self::assertSame(
            EppCode::Policy,
            $giver->say(AccountUpdate::handOver('bell.com', '40718', 'harrow-tern'))->code(),
            'it lies there already',
        );
        $giver->say(AccountUpdate::handOver('bell.com', '51877', 'wickerby-foundry'));
        self::assertSame(EppCode::Done, $giver->say(AccountUpdate::cancelHandover('bell.com'))->code());
        self::assertNull(AccountData::of($giver->say(new DomainInfo('bell.com')))?->offeredTo);
        self::assertSame('cancelled', HandoverData::of($giver->say(Poll::next()))?->state);
        self::assertSame(EppCode::Pending, $giver->say(AccountUpdate::handOver('bell.com', '51902', 'soundkelp'))->code());
    }

    public function test_a_locked_name_is_not_offered_nor_transferred(): void
    {
        $giver = $this->gate->session('40718');
        $giver->say(new DomainUpdate('bell.com', add: new DomainChange(statuses: ['clientTransferProhibited']), code: 'opensesame'));
        self::assertSame(EppCode::StatusProhibits, $giver->say(AccountUpdate::handOver('bell.com', '51877', 'wickerby-foundry'))->code());
        self::assertSame(
            EppCode::StatusProhibits,
            $this->gate->session('51877')->say(new Transfer(EppObject::Domain, TransferStep::Request, 'bell.com', 'opensesame'))->code(),
        );
    }

    /** RFC 5731 §3.2.4; silence approves. */
    public function test_a_transfer_needs_the_code_and_goes_through_by_itself(): void
    {
        $this->gate->session('40718')->say(new DomainUpdate('bell.com', code: 'opensesame'));
        $gaining = $this->gate->session('51877');
        self::assertSame(
            EppCode::InvalidAuthorization,
            $gaining->say(new Transfer(EppObject::Domain, TransferStep::Request, 'bell.com', 'wrong'))->code(),
        );
        self::assertSame(
            EppCode::NoTransferPending,
            $gaining->say(new Transfer(EppObject::Domain, TransferStep::Query, 'bell.com'))->code(),
        );
        $asked = $gaining->say(new Transfer(EppObject::Domain, TransferStep::Request, 'bell.com', 'opensesame'));
        self::assertSame([EppCode::Pending, 'pending'], [$asked->code(), TransferData::of($asked)->state]);
        self::assertSame(
            EppCode::TransferPending,
            $gaining->say(new Transfer(EppObject::Domain, TransferStep::Request, 'bell.com', 'opensesame'))->code(),
        );
        self::assertSame(
            EppCode::Authorization,
            $gaining->say(new Transfer(EppObject::Domain, TransferStep::Approve, 'bell.com'))->code(),
            'that is the losing side’s',
        );
        $this->gate->days(6);
        $over = TransferData::of($gaining->say(new Transfer(EppObject::Domain, TransferStep::Query, 'bell.com')));
        self::assertSame(['serverApproved', '51877'], [$over->state, $over->asker]);
        $domain = DomainData::of($gaining->say(new DomainInfo('bell.com')));
        self::assertSame(
            ['51877', '2028-11-02', null],
            [$domain->sponsor, $domain->ends?->format('Y-m-d'), $domain->code],
            'a year more, and the code is spent',
        );
    }

    /** RFC 5731 §3.2.4: each side may end it, and nobody else. */
    #[TestWith([TransferStep::Approve, '40718', 'clientApproved', '51877'])]
    #[TestWith([TransferStep::Reject, '40718', 'clientRejected', '40718'])]
    #[TestWith([TransferStep::Cancel, '51877', 'clientCancelled', '40718'])]
    public function test_a_transfer_is_ended_by_whose_it_is_to_end(TransferStep $step, string $by, string $state, string $sponsor): void
    {
        $talks = [
            '40718' => $this->gate->session('40718'),
            '51877' => $this->gate->session('51877'),
            '51902' => $this->gate->session('51902'),
        ];
        $talks['40718']->say(new DomainUpdate('bell.com', code: 'opensesame'));
        self::assertSame(
            EppCode::NotTransferable,
            $talks['40718']->say(new Transfer(EppObject::Domain, TransferStep::Request, 'bell.com', 'opensesame'))->code(),
            'it is there already',
        );
        self::assertSame(EppCode::NoTransferPending, $talks[$by]->say(new Transfer(EppObject::Domain, $step, 'bell.com'))->code());
        $talks['51877']->say(new Transfer(EppObject::Domain, TransferStep::Request, 'bell.com', 'opensesame'));
        self::assertSame(['pendingTransfer'], DomainData::of($talks['40718']->say(new DomainInfo('bell.com')))->statuses);
        self::assertSame(
            EppCode::StatusProhibits,
            $talks['40718']->say(new Delete(EppObject::Domain, 'bell.com'))->code(),
            'what is under way is not deleted',
        );
        self::assertSame(EppCode::Authorization, $talks['51902']->say(new Transfer(EppObject::Domain, $step, 'bell.com'))->code());
        self::assertSame(
            EppCode::Authorization,
            $talks[$by === '40718' ? '51877' : '40718']->say(new Transfer(EppObject::Domain, $step, 'bell.com'))->code(),
        );
        $ended = TransferData::of($talks[$by]->say(new Transfer(EppObject::Domain, $step, 'bell.com')));
        self::assertSame([$state, '51877'], [$ended->state, $ended->asker]);
        $domain = DomainData::of($talks[$sponsor]->say(new DomainInfo('bell.com')));
        self::assertSame(
            [
                $sponsor,
                $state === 'clientApproved' ? ['ok', 'transferPeriod'] : ['ok'],
                $state === 'clientApproved' ? '2028-11-02' : '2027-11-02',
            ],
            [$domain->sponsor, $domain->statuses, $domain->ends?->format('Y-m-d')],
        );
        // Both are told how it ended (§2.3).
        foreach (['40718', '51877'] as $side) {
            $states = [];
            while (($answer = $talks[$side]->say(Poll::next()))->code() === EppCode::AckToDequeue) {
                $states[] = TransferData::of($answer)->state;
                $talks[$side]->say(Poll::kept($answer->message->id ?? ''));
            }
            self::assertSame($state, $states[count($states) - 1] ?? null);
        }
    }

    /** RFC 3915 §3.1 and §4.2.5 */
    public function test_a_deleted_name_can_be_restored_for_a_while_and_nothing_else_be_done_with_it(): void
    {
        $talk = $this->gate->session('40718');
        $restore = fn (): EppResponse => $talk->say(new DomainUpdate('bell.com', restore: true));
        self::assertSame(EppCode::StatusProhibits, $restore()->code(), 'what isn’t deleted');
        self::assertSame(EppCode::Pending, $talk->say(new Delete(EppObject::Domain, 'bell.com'))->code());
        $domain = DomainData::of($talk->say(new DomainInfo('bell.com')));
        self::assertSame(['pendingDelete', 'redemptionPeriod'], $domain->statuses);
        foreach (
            [
                new DomainUpdate('bell.com', add: new DomainChange(statuses: ['clientHold'])),
                new DomainRenew('bell.com', new DateTimeImmutable('2027-11-02'), 1),
                new Delete(EppObject::Domain, 'bell.com'),
                AccountUpdate::handOver('bell.com', '51877', 'wickerby-foundry'),
            ] as $command
        ) {
            self::assertSame(EppCode::StatusProhibits, $talk->say($command)->code(), $command::class);
        }
        $report = fn (string $reason = 'Registrant error.'): EppResponse => $talk->say(
            new RestoreReport('bell.com', 'as it was', 'as it is', new DateTimeImmutable(), new DateTimeImmutable(), $reason),
        );
        self::assertSame(EppCode::StatusProhibits, $report()->code(), 'nobody waits for a report');
        $asked = $restore();
        self::assertSame([EppCode::Done, 'pendingRestore'], [$asked->code(), self::grace($asked)]);
        self::assertSame(['pendingDelete', 'pendingRestore'], DomainData::of($talk->say(new DomainInfo('bell.com')))->statuses);
        self::assertSame(EppCode::StatusProhibits, $restore()->code(), 'asked for already');
        self::assertSame(EppCode::MissingParameter, $report('')->code());
        $restored = $report();
        self::assertSame([EppCode::Done, null], [$restored->code(), self::grace($restored)], 'no period runs');
        self::assertSame(['ok'], DomainData::of($talk->say(new DomainInfo('bell.com')))->statuses);
        // 86.00 of the hundred that the account held.
        $told = $talk->say(new AccountInfo('40718'))->object(EppNamespace::Account, 'infData');
        self::assertSame('14.00', $told->textOf(EppNamespace::Account->value, 'balance'));
    }

    public function test_a_price_changes_on_its_day(): void
    {
        $talk = $this->gate->session('40718');
        $now = $this->gate->world->now();
        $this->gate->world->prices->change('com', 11_50, $now + 2 * 86_400);
        $asks = fn (): string => Fees::allOf($talk->say(new FeeCheck(['bell.com'], ['renew' => 2])))['bell.com']['renew']->fees[0];
        self::assertSame('19.80', $asks());
        $this->gate->days(2);
        self::assertSame('23.00', $asks());
        $renew = fn (string $fee): EppCode => $talk
            ->say(new DomainRenew('bell.com', new DateTimeImmutable('2027-11-02'), 1, new AgreedFee($fee, 'GBP')))
            ->code();
        self::assertSame([EppCode::ValueRange, EppCode::Done], [$renew('9.90'), $renew('11.50')]);
        self::assertSame('10.60', Prices::written($this->gate->world->prices->of('renew', 'bell.org', $this->gate->world->now())));
    }

    /** RFC 3915 §3.1: what is not reported goes back, and is paid for again. */
    public function test_a_restore_without_its_report_goes_back_into_redemption(): void
    {
        $talk = $this->gate->session('40718');
        $talk->say(new Delete(EppObject::Domain, 'bell.com'));
        $talk->say(new DomainUpdate('bell.com', restore: true));
        $this->gate->days(6);
        self::assertContains('pendingRestore', DomainData::of($talk->say(new DomainInfo('bell.com')))->statuses);
        $this->gate->days(2);
        self::assertSame(['pendingDelete', 'redemptionPeriod'], DomainData::of($talk->say(new DomainInfo('bell.com')))->statuses);
        self::assertSame(EppCode::Billing, $talk->say(new DomainUpdate('bell.com', restore: true))->code());
        $this->gate->days(30);
        self::assertSame(['pendingDelete'], DomainData::of($talk->say(new DomainInfo('bell.com')))->statuses);
        $this->gate->days(6);
        self::assertSame(EppCode::DoesNotExist, $talk->say(new DomainInfo('bell.com'))->code());
    }

    private static function grace(EppResponse $response): ?string
    {
        return $response->extension(EppNamespace::Grace, 'upData')?->child(EppNamespace::Grace->value, 'rgpStatus')->attribute('s');
    }

    /** RFC 3915 §3.1: its own renewal a registry takes back with the deletion; that a restored name has it again is common practice. */
    public function test_a_name_deleted_after_its_end_is_restored_with_a_year(): void
    {
        $talk = $this->gate->session('40718');
        $stands = function () use ($talk): string {
            $domain = DomainData::of($talk->say(new DomainInfo('bell.com')));

            return $domain->ends?->format('Y-m-d').' '.implode(' ', $domain->statuses);
        };
        $this->gate->days(400);
        self::assertSame('2028-11-02 ok autoRenewPeriod', $stands());
        self::assertSame(EppCode::Pending, $talk->say(new Delete(EppObject::Domain, 'bell.com'))->code());
        self::assertSame('2027-11-02 pendingDelete redemptionPeriod', $stands());
        $this->gate->days(20);
        $talk->say(new DomainUpdate('bell.com', restore: true));
        self::assertSame('2027-11-02 pendingDelete pendingRestore', $stands());
        $restored = $talk->say(
            new RestoreReport('bell.com', 'as it was', 'as it is', new DateTimeImmutable(), new DateTimeImmutable(), 'Registrant error.'),
        );
        self::assertSame([EppCode::Done, 'renewPeriod'], [$restored->code(), self::grace($restored)]);
        self::assertSame('2028-11-02 ok renewPeriod', $stands());
        $this->gate->days(60);
        self::assertSame('2028-11-02 ok', $stands());
    }

    /** RFC 5731 §2.3 and §3.2.5, RFC 5732 */
    public function test_name_servers_are_hosts_that_are_there(): void
    {
        $talk = $this->gate->session('40718');
        $update = fn (DomainChange $add = new DomainChange(), DomainChange $remove = new DomainChange()): EppCode => $talk
            ->say(new DomainUpdate('bell.com', $add, $remove))
            ->code();
        $statuses = fn (): array => DomainData::of($talk->say(new DomainInfo('bell.com')))->statuses;
        self::assertSame(EppCode::DoesNotExist, $update(new DomainChange(servers: ['ns.nowhere.example'])));
        self::assertSame(
            [EppCode::Done, ['inactive']],
            [$update(remove: new DomainChange(servers: ['ns1.a.example'])), $statuses()],
            'without servers it is not delegated',
        );
        foreach (range(1, 14) as $one) {
            self::assertSame(
                EppCode::Done,
                $talk->say(new HostCreate("ns{$one}.b.example", new HostAddresses(["192.0.2.{$one}"])))->code(),
            );
        }
        self::assertSame(
            EppCode::Policy,
            $update(new DomainChange(servers: array_map(fn (int $one): string => "ns{$one}.b.example", range(1, 14)))),
            'thirteen at most',
        );
        self::assertSame([EppCode::Done, ['ok']], [$update(new DomainChange(servers: ['ns1.b.example', 'ns2.b.example'])), $statuses()]);
        self::assertSame(EppCode::Exists, $talk->say(new HostCreate('ns1.b.example', new HostAddresses(['192.0.2.1'])))->code());
        self::assertSame(EppCode::MissingParameter, $talk->say(new HostCreate('ns99.bell.com', new HostAddresses([])))->code());
        self::assertSame(EppCode::Done, $talk->say(new HostCreate('ns98.b.example', new HostAddresses([])))->code(), 'it lies elsewhere');
        self::assertSame(EppCode::Exists, $talk->say(new HostCreate('ns98.b.example', new HostAddresses([])))->code());
        self::assertSame(EppCode::ValueSyntax, $talk->say(new HostCreate('ns99.b.example', new HostAddresses(['192.0.2.300'])))->code());
        self::assertSame(
            EppCode::Done,
            $talk->say(new HostUpdate('ns1.b.example', new HostAddresses(['2001:db8::1']), new HostAddresses(['192.0.2.1'])))->code(),
        );
        self::assertSame(['2001:db8::1'], HostData::of($talk->say(new HostInfo('ns1.b.example')))->addresses);
        self::assertSame(
            EppCode::Policy,
            $talk->say(new HostUpdate('ns1.b.example', new HostAddresses([]), new HostAddresses(['2001:db8::1'])))->code(),
            'it would have none',
        );
        $free = Availability::allOf($talk->say(new Check(EppObject::Host, ['ns1.b.example', 'ns99.b.example'])), EppObject::Host);
        self::assertSame([false, true], [$free['ns1.b.example']->isFree, $free['ns99.b.example']->isFree]);
    }

    /** RFC 5732 §2.3, §3.2 and §3.2.2 */
    public function test_a_host_is_its_makers_and_goes_when_no_name_is_answered_by_it(): void
    {
        $talk = $this->gate->session('40718');
        $talk->say(new HostCreate('ns1.b.example', new HostAddresses(['192.0.2.1'])));
        $other = $this->gate->session('51877');
        foreach (
            [
                new HostUpdate('ns1.b.example', new HostAddresses(['192.0.2.2'])),
                new Delete(EppObject::Host, 'ns1.b.example'),
                new Delete(EppObject::Host, 'ns1.a.example'),
            ] as $command
        ) {
            self::assertSame(EppCode::Authorization, $other->say($command)->code());
        }
        $host = fn (string $name): HostData => HostData::of($talk->say(new HostInfo($name)));
        self::assertSame([['ok'], '40718'], [$host('ns1.b.example')->statuses, $host('ns1.b.example')->sponsor]);
        self::assertSame([['linked'], 'skerry'], [$host('ns1.a.example')->statuses, $host('ns1.a.example')->sponsor]);
        $talk->say(new DomainUpdate('bell.com', new DomainChange(servers: ['ns1.b.example'])));
        self::assertSame(
            [['linked'], EppCode::AssociationProhibits],
            [$host('ns1.b.example')->statuses, $talk->say(new Delete(EppObject::Host, 'ns1.b.example'))->code()],
        );
        $talk->say(new DomainUpdate('bell.com', remove: new DomainChange(servers: ['ns1.b.example'])));
        self::assertSame(EppCode::Done, $talk->say(new Delete(EppObject::Host, 'ns1.b.example'))->code());
        self::assertSame(EppCode::DoesNotExist, $talk->say(new HostInfo('ns1.b.example'))->code());
        self::assertSame(EppCode::Done, $other->say(new HostCreate('ns1.b.example', new HostAddresses(['192.0.2.1'])))->code());
        self::assertSame(EppCode::Authorization, $talk->say(new Delete(EppObject::Host, 'ns1.b.example'))->code());
    }

    /** RFC 5731 §3.1.2 */
    #[TestWith(['all', true])]
    #[TestWith(['del', true])]
    #[TestWith(['sub', false])]
    #[TestWith(['none', false])]
    public function test_hosts_are_told_as_they_are_asked_for(string $hosts, bool $areTold): void
    {
        $answer = $this->gate
            ->session('40718')
            ->raw(
                '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><command><info><domain:info '
                    .'xmlns:domain="urn:ietf:params:xml:ns:domain-1.0"><domain:name '
                    ."hosts=\"{$hosts}\">bell.com</domain:name></domain:info></info></command></epp>",
            );
        self::assertSame($areTold ? ['ns1.a.example'] : [], DomainData::of($answer)->servers);
    }

    /**
     * What a server may leave out it says so of (2102, RFC 5730 §3), with the codes that RFC 5910 §4 and §5.2 name; nothing is passed over
     * in silence.
     */
    #[TestWith([
        'domain',
        '<domain:update xmlns:domain="urn:ietf:params:xml:ns:domain-1.0"><domain:name>bell.com</domain:name><domain:add>'
            .'<domain:contact type="tech">H-1</domain:contact></domain:add></domain:update>',
        '',
        EppCode::UnimplementedOption,
    ])]
    #[TestWith([
        'domain',
        '<domain:update xmlns:domain="urn:ietf:params:xml:ns:domain-1.0"><domain:name>bell.com</domain:name><domain:add><domain:ns>'
            .'<domain:hostAttr><domain:hostName>ns9.b.example</domain:hostName></domain:hostAttr></domain:ns></domain:add>'
            .'</domain:update>',
        '',
        EppCode::UnimplementedOption,
    ])]
    #[TestWith([
        'domain',
        '<domain:update xmlns:domain="urn:ietf:params:xml:ns:domain-1.0"><domain:name>bell.com</domain:name></domain:update>',
        '<secDNS:update xmlns:secDNS="urn:ietf:params:xml:ns:secDNS-1.1" '
            .'urgent="true"><secDNS:rem><secDNS:all>true</secDNS:all></secDNS:rem></secDNS:update>',
        EppCode::UnimplementedOption,
    ])]
    #[TestWith([
        'domain',
        '<domain:update xmlns:domain="urn:ietf:params:xml:ns:domain-1.0"><domain:name>bell.com</domain:name></domain:update>',
        '<secDNS:update xmlns:secDNS="urn:ietf:params:xml:ns:secDNS-1.1"><secDNS:chg><secDNS:maxSigLife>605900</secDNS:maxSigLife>'
            .'</secDNS:chg></secDNS:update>',
        EppCode::UnimplementedOption,
    ])]
    #[TestWith([
        'domain',
        '<domain:update xmlns:domain="urn:ietf:params:xml:ns:domain-1.0"><domain:name>bell.com</domain:name></domain:update>',
        '<secDNS:update xmlns:secDNS="urn:ietf:params:xml:ns:secDNS-1.1"><secDNS:add><secDNS:keyData><secDNS:flags>257</secDNS:flags>'
            .'<secDNS:protocol>3</secDNS:protocol><secDNS:alg>1</secDNS:alg><secDNS:pubKey>AQPJ////4Q==</secDNS:pubKey>'
            .'</secDNS:keyData></secDNS:add></secDNS:update>',
        EppCode::Policy,
    ])]
    #[TestWith([
        'domain',
        '<domain:update xmlns:domain="urn:ietf:params:xml:ns:domain-1.0"><domain:name>bell.com</domain:name></domain:update>',
        '<secDNS:update xmlns:secDNS="urn:ietf:params:xml:ns:secDNS-1.1"><secDNS:add><secDNS:dsData>'
            .'<secDNS:keyTag>12346</secDNS:keyTag><secDNS:alg>3</secDNS:alg><secDNS:digestType>1</secDNS:digestType>'
            .'<secDNS:digest>38EC35D5B3A34B44C39B</secDNS:digest><secDNS:keyData><secDNS:flags>257</secDNS:flags>'
            .'<secDNS:protocol>3</secDNS:protocol><secDNS:alg>1</secDNS:alg><secDNS:pubKey>AQPJ////4Q==</secDNS:pubKey>'
            .'</secDNS:keyData></secDNS:dsData></secDNS:add></secDNS:update>',
        EppCode::Done,
    ])]
    #[TestWith([
        'contact',
        '<contact:update xmlns:contact="urn:ietf:params:xml:ns:contact-1.0"><contact:id>BF-1</contact:id><contact:add><contact:status '
            .'s="clientDeleteProhibited"/></contact:add></contact:update>',
        '',
        EppCode::UnimplementedOption,
    ])]
    #[TestWith([
        'host',
        '<host:update xmlns:host="urn:ietf:params:xml:ns:host-1.0"><host:name>ns1.b.example</host:name><host:add><host:status '
            .'s="clientUpdateProhibited"/></host:add></host:update>',
        '',
        EppCode::UnimplementedOption,
    ])]
    #[TestWith([
        'host',
        '<host:update xmlns:host="urn:ietf:params:xml:ns:host-1.0"><host:name>ns1.b.example</host:name><host:chg>'
            .'<host:name>ns2.b.example</host:name></host:chg></host:update>',
        '',
        EppCode::UnimplementedOption,
    ])]
    #[TestWith([
        'host',
        '<host:update xmlns:host="urn:ietf:params:xml:ns:host-1.0"><host:name>ns1.b.example</host:name></host:update>',
        '',
        EppCode::MissingParameter,
    ])]
    public function test_what_is_not_kept_here_is_refused_and_not_passed_over(
        string $what,
        string $update,
        string $extension,
        EppCode $code,
    ): void {
        $talk = $this->gate->session('40718');
        $talk->say(new HostCreate('ns1.b.example', new HostAddresses(['192.0.2.1'])));
        $talk->say(
            new ContactCreate(
                'BF-1',
                [new PostalInfo(false, 'The Secretary', null, ['4 Tenter Lane'], 'Wickerby Sound', null, null, 'GB')],
                null,
                'a@b.example',
                'secret',
            ),
        );
        $before = [$this->gate->world->store->name('bell.com')?->json(), $this->gate->world->store->hosts->addresses('ns1.b.example')];
        $extension = $extension === '' ? '' : "<extension>{$extension}</extension>";
        self::assertSame(
            $code,
            $talk
                ->raw("<epp xmlns=\"urn:ietf:params:xml:ns:epp-1.0\"><command><update>{$update}</update>{$extension}</command></epp>")
                ->code(),
            $what,
        );
        if ($code !== EppCode::Done) {
            self::assertSame($before, [
                $this->gate->world->store->name('bell.com')?->json(),
                $this->gate->world->store->hosts->addresses('ns1.b.example'),
            ]);
        }
    }

    /** RFC 5733 and RFC 5731 §3.2.5 */
    public function test_who_holds_names_is_kept_and_told_of_them_all(): void
    {
        $talk = $this->gate->session('40718');
        $postal = fn (string $country): array => [
            new PostalInfo(
                false,
                'The Secretary',
                'Bell Foundry',
                ['4 Tenter Lane', 'Second door'],
                'Wickerby Sound',
                null,
                null,
                $country,
            ),
        ];
        self::assertSame(EppCode::ValueSyntax, $talk->say(new ContactCreate('BF-1', $postal('gb'), null, 'a@b.example', 'secret'))->code());
        self::assertSame(EppCode::Done, $talk->say(new ContactCreate('BF-1', $postal('GB'), null, 'a@b.example', 'secret'))->code());
        self::assertSame(EppCode::DoesNotExist, $talk->say(new DomainUpdate('bell.com', registrant: 'BF-9'))->code());
        self::assertSame(EppCode::Done, $talk->say(new DomainUpdate('bell.com', registrant: 'BF-1'))->code());
        self::assertSame('BF-1', DomainData::of($talk->say(new DomainInfo('bell.com')))->registrant);
        self::assertSame(EppCode::Done, $talk->say(new ContactUpdate('BF-1', mailbox: 'new@b.example'))->code());
        self::assertSame(
            'new@b.example',
            $this->gate->world->store->name('bell.com')?->holder->mailbox,
            'every name that they hold says it',
        );
        self::assertSame(
            ['4 Tenter Lane, Second door', 'new@b.example'],
            [
                ContactData::of($talk->say(new ContactInfo('BF-1')))->postal[0]->street[0],
                ContactData::of($talk->say(new ContactInfo('BF-1')))->mailbox,
            ],
        );
        self::assertSame(EppCode::AssociationProhibits, $talk->say(new Delete(EppObject::Contact, 'BF-1'))->code());
        $talk->say(new ContactCreate('BF-2', $postal('GB'), null, 'a@b.example', 'secret'));
        $free = Availability::allOf($talk->say(new Check(EppObject::Contact, ['BF-2', 'BF-3'])), EppObject::Contact);
        self::assertSame([false, true], [$free['BF-2']->isFree, $free['BF-3']->isFree]);
        self::assertSame(
            [EppCode::NotTransferable, EppCode::NoTransferPending],
            [
                $talk->say(new Transfer(EppObject::Contact, TransferStep::Request, 'BF-2', 'secret'))->code(),
                $talk->say(new Transfer(EppObject::Contact, TransferStep::Query, 'BF-2'))->code(),
            ],
        );
        self::assertSame(EppCode::Done, $talk->say(new Delete(EppObject::Contact, 'BF-2'))->code());
        self::assertSame(EppCode::DoesNotExist, $talk->say(new ContactInfo('BF-2'))->code());
    }

    /** RFC 8748 §5: what it costs is told, and who agreed to less is refused. */
    public function test_fees_are_told_agreed_and_charged(): void
    {
        $talk = $this->gate->session('40718');
        $premium = Fees::allOf($talk->say(new FeeCheck(['premium-bell.com'], ['create' => 1])))['premium-bell.com']['create'];
        self::assertSame([['99.00'], 'premium', false], [$premium->fees, $premium->class, $premium->isStandard]);
        $fees = Fees::allOf($talk->say(new FeeCheck(['bell.com', 'free.co.uk'], ['renew' => 1, 'restore' => null])));
        self::assertSame(
            ['9.90', '86.00', 'GBP'],
            [$fees['bell.com']['renew']->fees[0], $fees['bell.com']['restore']->fees[0], $fees['free.co.uk']['renew']->currency],
        );
        self::assertSame(
            [['renew', 'restore'], []],
            [
                array_keys($fees['bell.com']),
                array_keys(Fees::allOf($talk->say(new FeeCheck(['bell.nowhere'], ['renew' => 1])))['bell.nowhere']),
            ],
            'what was asked, and nothing of what isn’t sold',
        );
        $many = Fees::allOf($talk->say(new FeeCheck(['bell.com'], ['create' => 3, 'transfer' => 2, 'renew' => 11])))['bell.com'];
        self::assertSame(
            [['29.70'], true, [], 'That is not sold here.', []],
            [$many['create']->fees, $many['create']->isStandard, $many['transfer']->fees, $many['transfer']->reason, $many['renew']->fees],
        );
        self::assertSame(
            EppCode::ValueRange,
            $talk->say(new FeeCheck(['bell.com'], ['renew' => 1], 'USD'))->code(),
            'nothing is converted',
        );
        $phase = fn (string $attributes): EppCode => $talk
            ->raw(
                '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><command><check><domain:check '
                    .'xmlns:domain="urn:ietf:params:xml:ns:domain-1.0"><domain:name>bell.com</domain:name></domain:check></check>'
                    .'<extension><fee:check xmlns:fee="urn:ietf:params:xml:ns:epp:fee-1.0"><fee:command name="create" '
                    ."{$attributes}/></fee:check></extension></command></epp>",
            )
            ->code();
        self::assertSame([EppCode::ValueRange, EppCode::MissingParameter], [$phase('phase="sunrise"'), $phase('subphase="landrush"')]);
        $ends = new DateTimeImmutable('2027-11-02');
        self::assertSame(EppCode::ValueRange, $talk->say(new DomainRenew('bell.com', $ends, 1, new AgreedFee('9.89', 'GBP')))->code());
        self::assertSame(
            EppCode::ValueRange,
            $talk->say(new DomainRenew('bell.com', $ends, 1, new AgreedFee('99.00', 'USD')))->code(),
            'another currency is no agreement',
        );
        $renewed = $talk->say(new DomainRenew('bell.com', $ends, 1, new AgreedFee('9.90', 'GBP')));
        $charged = Fees::charged($renewed) ?? self::fail('Nothing is said of what it cost.');
        self::assertSame(
            [['9.90'], '90.10', '2028-11-02'],
            [$charged->fees, $charged->balance, NewEnd::of($renewed)->ends?->format('Y-m-d')],
        );
        self::assertNull(
            Fees::charged($talk->say(new DomainRenew('bell.com', new DateTimeImmutable('2028-11-02'), 1))),
            'who doesn’t speak of fees isn’t told',
        );
    }

    /** RFC 5910 §5.2.5 */
    public function test_delegation_signers_come_and_go(): void
    {
        $talk = $this->gate->session('40718');
        $keys = fn (): array => array_map(
            fn (SigningKey $key): int => $key->keyTag,
            DomainData::of($talk->say(new DomainInfo('bell.com')))->ds,
        );
        $old = DomainData::of($talk->say(new DomainInfo('bell.com')))->ds[0];
        $new = new SigningKey(12346, 13, 2, str_repeat('AB', 32));
        self::assertSame(EppCode::Done, $talk->say(new DomainUpdate('bell.com', keys: new KeyChange([$new])))->code());
        self::assertSame([60485, 12346], $keys());
        $talk->say(new DomainUpdate('bell.com', keys: new KeyChange(remove: [$old])));
        self::assertSame([12346], $keys());
        $talk->say(new DomainUpdate('bell.com', keys: new KeyChange([$old], removeAll: true)));
        self::assertSame([60485], $keys());
    }

    /** RFC 5733 §2.9 and §3.2.4 */
    public function test_a_contact_keeps_its_wish_and_goes_to_whoever_has_its_code(): void
    {
        $talk = $this->gate->session('40718');
        $postal = [new PostalInfo(false, 'The Secretary', null, ['4 Tenter Lane'], 'Wickerby Sound', null, 'WS1 4AB', 'GB')];
        $talk->say(new ContactCreate('BF-1', $postal, null, 'a@b.example', 'open sesame', new Disclose(false, ['email', 'name'])));
        $said = $talk
            ->say(new ContactInfo('BF-1'))
            ->object(EppNamespace::Contact, 'infData')
            ->child(EppNamespace::Contact->value, 'disclose');
        self::assertSame(
            ['0', ['name', 'email']],
            [$said->attribute('flag'), array_map(fn (XmlNode $one): string => $one->name(), $said->all())],
        );
        $talk->say(new ContactUpdate('BF-1', voice: '+44.1632960114', disclose: new Disclose(true, ['voice'])));
        self::assertSame(
            '1',
            $talk
                ->say(new ContactInfo('BF-1'))
                ->object(EppNamespace::Contact, 'infData')
                ->child(EppNamespace::Contact->value, 'disclose')
                ->attribute('flag'),
        );

        $other = $this->gate->session('51877');
        self::assertSame(
            EppCode::InvalidAuthorization,
            $other->say(new Transfer(EppObject::Contact, TransferStep::Request, 'BF-1', 'close sesame'))->code(),
        );
        $moved = TransferData::of(
            $other->say(new Transfer(EppObject::Contact, TransferStep::Request, 'BF-1', 'open sesame')),
            EppObject::Contact,
        );
        self::assertSame(
            ['BF-1', 'serverApproved', '51877', '40718', null],
            [$moved->key, $moved->state, $moved->asker, $moved->actor, $moved->ends],
        );
        self::assertSame(EppCode::Authorization, $talk->say(new ContactInfo('BF-1'))->code());
        self::assertSame(
            EppCode::InvalidAuthorization,
            $talk->say(new Transfer(EppObject::Contact, TransferStep::Request, 'BF-1', 'open sesame'))->code(),
            'the code is spent',
        );
    }

    /** RFC 5731 §3.3 */
    public function test_what_is_looked_at_first_is_answered_by_message(): void
    {
        $talk = $this->gate->session('40718');
        foreach (['review-passes' => ['clientHold'], 'review-fails' => ['ok']] as $part => $after) {
            $this->gate->play('bell.com', 'registrar-reviews');
            $asked = $talk->say(new DomainUpdate('bell.com', add: new DomainChange(statuses: ['clientHold'])));
            self::assertSame(EppCode::Pending, $asked->code());
            self::assertSame(['pendingUpdate'], DomainData::of($talk->say(new DomainInfo('bell.com')))->statuses);
            self::assertSame(EppCode::StatusProhibits, $talk->say(new DomainUpdate('bell.com', code: 'another'))->code());
            $this->gate->play('bell.com', $part);
            $message = $talk->say(Poll::next());
            $ended = PendingAction::of($message) ?? self::fail('No message says how it ended.');
            self::assertSame(
                ['bell.com', $part === 'review-passes', $asked->client, $asked->server],
                [$ended->key, $ended->isDone, $ended->client, $ended->server],
            );
            self::assertSame($after, DomainData::of($talk->say(new DomainInfo('bell.com')))->statuses);
            $talk->say(Poll::kept($message->message->id ?? ''));
            $this->gate->play('bell.com', 'registrar-agrees');
            $talk->say(new DomainUpdate('bell.com', remove: new DomainChange(statuses: ['clientHold'])));
        }
        self::assertNull(PendingAction::of($talk->say(new DomainInfo('bell.com'))));
    }

    public function test_an_account_without_money_is_not_renewed(): void
    {
        $poor = $this->gate->session('52044');
        self::assertSame(EppCode::Billing, $poor->say(new DomainRenew('poor.com', new DateTimeImmutable('2027-11-02'), 1))->code());
        self::assertSame('2027-11-02', DomainData::of($poor->say(new DomainInfo('poor.com')))->ends?->format('Y-m-d'));
    }

    public function test_what_was_refused_half_way_is_in_memory_as_it_is_in_the_file(): void
    {
        $store = $this->gate->world->store;
        $name = $store->name('bell.com');
        self::assertNotNull($name);
        $name->registrar = 'nobody';
        self::assertSame('skerry', $store->name('bell.com')?->registrar, 'what was read is the reader’s own until it is put');
        try {
            $store->together(function () use ($store, $name): void {
                $store->put($name);
                $store->tell('said', 'half way');
                self::assertSame(['nobody', 'half way'], [$store->name('bell.com')?->registrar, $store->told('said')]);
                throw new RuntimeException('A lightning strikes.');
            });
        } catch (RuntimeException) {
            // As it should.
        }
        self::assertSame(['skerry', null], [$store->name('bell.com')?->registrar, $store->told('said')]);
    }

    /** RFC 5730 §2.6: the server's identifier is unique. */
    public function test_no_answer_has_another_ones_number_though_the_world_was_killed_between_them(): void
    {
        $session = $this->gate->session('40718');
        $before = $session->say(new DomainInfo('bell.com'))->server;
        $world = Killed::world($this->gate->file);
        self::assertSame([], $world->store->heard('40718'), 'what only asked was not recorded yet');
        $again = new Talk(new EppSession($world, 'skerry', new OpenSessions()));
        $again->login('40718');
        self::assertSame(1, strnatcmp($again->say(new DomainInfo('bell.com'))->server, $before), 'and its number is not given again');
    }

    public function test_a_change_is_written_down_after_its_answer_and_meanwhile_found_by_whoever_looks(): void
    {
        $later = [];
        $gate = new Gatehouse(function (Closure $write) use (&$later): void {
            $later[] = $write;
        });
        $session = $gate->session('40718');
        $locked = fn (?Registered $name): bool => $name?->has('clientTransferProhibited') ?? false;
        self::assertSame(
            EppCode::Done,
            $session->say(new DomainUpdate('bell.com', add: new DomainChange(statuses: ['clientTransferProhibited'])))->code(),
        );
        self::assertFalse($locked(Killed::world($gate->file)->store->name('bell.com')), 'no answer waits for the disk');
        self::assertTrue($locked($gate->world->store->name('bell.com')));
        self::assertCount(1, $later);
        $later[0]();
        $left = Killed::world($gate->file)->store;
        self::assertTrue($locked($left->name('bell.com')));
        self::assertSame(['login 1000', 'update 1000'], $left->heard('40718'), 'and so is what the session was told');
        $session->say(new DomainUpdate('bell.com', remove: new DomainChange(statuses: ['clientTransferProhibited'])));
        self::assertCount(2, $later, 'the next one waits anew');
        self::assertFalse($locked($gate->world->store->namesIn('40718')[0]), 'a search of the file finds what does not stand in it yet');
    }

    /** Names are kept in A-labels (RFC 5731 §2.1, RFC 1123 §2.1); what only can be read as one is none. */
    public function test_a_name_is_asked_for_as_it_is_kept(): void
    {
        $session = $this->gate->session('40718');
        self::assertSame('bell.com', DomainData::of($session->say(new DomainInfo('BELL.com')))->name);
        foreach (
            [
                'https://bell.com/' => EppCode::ValueSyntax,
                'bell.com.' => EppCode::ValueSyntax,
                'böll.com' => EppCode::ValueSyntax,
                'bell' => EppCode::ValueSyntax,
                'xn--bll-sna.com' => EppCode::DoesNotExist,
            ] as $asked => $code
        ) {
            self::assertSame($code, $session->say(new DomainInfo($asked))->code(), $asked);
        }
    }

    public function test_what_is_asked_is_checked(): void
    {
        $answer = $this->gate->session('40718')->say(new Check(EppObject::Domain, ['bell.com', 'free-bell.com', 'a.nowhere']));
        self::assertSame(EppCode::Done, $answer->code());
    }

    public function test_five_sessions_of_one_account_are_enough(): void
    {
        $open = array_map(fn (): Talk => $this->gate->session('51902'), range(1, 5));
        self::assertSame(EppCode::SessionLimit, $this->gate->session()->login('51902')->code());
        array_map(fn (Talk $talk) => $talk->session->end(), $open);
        self::assertSame(EppCode::Done, $this->gate->session()->login('51902')->code());
    }

    /** RFC 5731 §3.2.4 and §2.3: whoever starts it, a locked name stays; else its registrar is told, and five days later it is over. */
    public function test_what_somebody_else_starts_keeps_to_the_same_rules(): void
    {
        $losing = $this->gate->session('40718');
        $losing->say(new DomainUpdate('bell.com', add: new DomainChange(statuses: ['clientTransferProhibited'])));
        $this->gate->play('bell.com', 'transfer');
        self::assertNull($this->gate->world->store->name('bell.com')?->transfer);
        $losing->say(new DomainUpdate('bell.com', remove: new DomainChange(statuses: ['clientTransferProhibited'])));
        $this->gate->play('bell.com', 'transfer');
        self::assertStringContainsString('A transfer of bell.com was asked for.', $losing->say(Poll::next())->message->text ?? '');
        $this->gate->days(6);
        self::assertSame(
            ['farshore', null, 'serverApproved'],
            [
                $this->gate->world->store->name('bell.com')?->registrar,
                $this->gate->world->store->name('bell.com')?->transfer,
                $this->gate->world->store->name('bell.com')?->lastTransfer?->state,
            ],
        );
    }

    /** RFC 3915 §3.1: what can only be restored is to be deleted, and not “ok”, whoever told of it. */
    public function test_a_name_in_redemption_is_not_active_as_well(): void
    {
        $name = $this->gate->world->store->name('bell.com') ?? self::fail('There is no bell.com.');
        $name->statuses = ['redemptionPeriod'];
        self::assertSame([['pendingDelete'], ['redemptionPeriod']], [$name->standing(), $name->grace()]);
    }

    /** RFC 5730 §2.9.1.2: the session is over with its answer. */
    public function test_what_comes_after_a_logout_is_not_carried_out(): void
    {
        $listener = new Listener();
        (new EppServer($this->gate->world, 'skerry', 10))->listen($listener);
        $connection = $listener->call();
        $frames = array_map(fn (EppCommand $command): string => EppFraming::pack(EppFrame::command($command, 'ABC-12345')), [
            new Login('40718', 'pass-40718', [EppNamespace::Domain->value]),
            new Logout(),
            new DomainUpdate('bell.com', add: new DomainChange(statuses: ['clientHold'])),
        ]);
        $connection->arrive(implode('', $frames));
        self::assertFalse($connection->isOpen);
        self::assertFalse($this->gate->world->store->name('bell.com')?->has('clientHold'));
        self::assertSame(2, substr_count($connection->written, '<response'));
    }

    public function test_half_a_frame_ends_its_connection_in_time(): void
    {
        $listener = new Listener();
        (new EppServer($this->gate->world, 'skerry', 0))->listen($listener);
        [$half, $whole] = [$listener->call(), $listener->call()];
        $frame = EppFraming::pack('<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><hello/></epp>');
        $half->arrive(substr($frame, 0, 20));
        $whole->arrive(substr($frame, 0, 20));
        $whole->arrive(substr($frame, 20));
        Loop::addTimer(0, Loop::stop(...));
        Loop::run();
        self::assertSame([false, true], [$half->isOpen, $whole->isOpen]);
    }
}
