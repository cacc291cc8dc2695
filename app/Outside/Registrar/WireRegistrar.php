<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use Acre\Core\Contact\Field;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use Acre\Wire\Epp\Command\AccountInfo;
use Acre\Wire\Epp\Command\AccountUpdate;
use Acre\Wire\Epp\Command\AgreedFee;
use Acre\Wire\Epp\Command\Check;
use Acre\Wire\Epp\Command\ContactCreate;
use Acre\Wire\Epp\Command\ContactInfo;
use Acre\Wire\Epp\Command\Disclose as WithheldFields;
use Acre\Wire\Epp\Command\DomainChange;
use Acre\Wire\Epp\Command\DomainInfo;
use Acre\Wire\Epp\Command\DomainRenew;
use Acre\Wire\Epp\Command\DomainUpdate;
use Acre\Wire\Epp\Command\FeeCheck;
use Acre\Wire\Epp\Command\HostAddresses;
use Acre\Wire\Epp\Command\HostCreate;
use Acre\Wire\Epp\Command\KeyChange;
use Acre\Wire\Epp\Command\Poll;
use Acre\Wire\Epp\Command\RestoreReport;
use Acre\Wire\Epp\Command\Transfer;
use Acre\Wire\Epp\Command\TransferStep;
use Acre\Wire\Epp\Data\AccountData;
use Acre\Wire\Epp\Data\AccountEntry;
use Acre\Wire\Epp\Data\AccountHolds;
use Acre\Wire\Epp\Data\Availability;
use Acre\Wire\Epp\Data\ChargeData;
use Acre\Wire\Epp\Data\ContactData;
use Acre\Wire\Epp\Data\DomainData;
use Acre\Wire\Epp\Data\Fees;
use Acre\Wire\Epp\Data\HandoverData;
use Acre\Wire\Epp\Data\LowBalance;
use Acre\Wire\Epp\Data\NewEnd;
use Acre\Wire\Epp\Data\PendingAction;
use Acre\Wire\Epp\Data\SigningKey;
use Acre\Wire\Epp\Data\TransferData;
use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppError;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppObject;
use Acre\Wire\Epp\EppResponse;
use Acre\Wire\Xml\XmlError;
use Acre\Wire\Xml\XmlNode;
use App\Actions\Money\StatementLine;
use App\Models\Account;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\Orders\AnswerTransfer;
use App\Outside\Registrar\Orders\CancelHandover;
use App\Outside\Registrar\Orders\CancelTransfer;
use App\Outside\Registrar\Orders\Disclose;
use App\Outside\Registrar\Orders\HandOver;
use App\Outside\Registrar\Orders\Order;
use App\Outside\Registrar\Orders\Renew;
use App\Outside\Registrar\Orders\ReplaceKeys;
use App\Outside\Registrar\Orders\ReplaceRegistrant;
use App\Outside\Registrar\Orders\ReplaceServers;
use App\Outside\Registrar\Orders\RequestCode;
use App\Outside\Registrar\Orders\Restore;
use App\Outside\Registrar\Orders\SwitchAutoRenew;
use App\Outside\Registrar\Orders\SwitchLock;
use App\Outside\Registrar\Orders\TransferIn;
use LogicException;

/** A registrar by wire: EPP. */
final readonly class WireRegistrar implements Registrar
{
    private const LOCK = 'clientTransferProhibited';

    /** What a name carries until it is kept again (RFC 3915 §3.1). */
    private const DELETED = ['redemptionPeriod', 'pendingRestore', 'pendingDelete'];

    /** Messages that are taken in one go. */
    private const MOST = 500;

    public function __construct(private Gates $gates)
    {
    }

    public function carryOut(Account $account, Order $order): Answer
    {
        return $this->reading(
            $account,
            fn (): Answer => match (true) {
                $order instanceof RequestCode => $this->code($account, $order),
                $order instanceof Restore => $this->restore($account, $order),
                default => $this->tell($account, $order),
            },
        );
    }

    private function tell(Account $account, Order $order): Answer
    {
        $known = $order instanceof ReplaceRegistrant ? $this->makeKnown($account, $order) : null;
        if ($known !== null) {
            return $known;
        }
        $command = $order instanceof ReplaceServers ? $this->otherServers($account, $order) : self::command($order);
        if ($command instanceof Answer) {
            return $command;
        }
        $response = $this->gates->of($account)->command($command, $order->transaction);
        $code = $response->code();
        $words = self::words($response);

        return match (true) {
            $code === EppCode::Pending => Answer::pending($code->value, $words),
            $code->isSuccess() => Answer::done($code->value, $words, told: self::told($order, $response)),
            $code->isServers() || $code->endsSession() => Answer::later($code->value, $words),
            // Some refuse to switch what stands so already (RFC 5730 §3, 2306): it is as it was wanted.
            default => ($order->kind()->isSwitch() ? $this->look($account, $order) : null) ?? Answer::refused($code->value, $words),
        };
    }

    public function find(Account $account, Order $order): ?Answer
    {
        return $this->reading($account, fn (): ?Answer => $this->look($account, $order));
    }

    public function renews(Account $account, string $ascii): ?bool
    {
        return $this->reading($account, function () use ($account, $ascii): ?bool {
            $response = $this->gates->of($account)->command(new DomainInfo($ascii), 'renews-'.bin2hex(random_bytes(8)));
            $beyond = $response->code() === EppCode::Done ? AccountData::of($response) : null;

            // Of a name in another account it says less, and that is not ours to change.
            return $beyond?->number === $account->number ? $beyond->autoRenew : null;
        });
    }

    private function look(Account $account, Order $order): ?Answer
    {
        $response = $this->gates->of($account)->command(new DomainInfo($order->name), 'find-'.bin2hex(random_bytes(8)));
        if ($response->code() !== EppCode::Done) {
            return $response->code() === EppCode::DoesNotExist ? Answer::refused($response->code()->value, self::words($response)) : null;
        }
        $domain = DomainData::of($response);
        $beyond = AccountData::of($response);
        $isLocked = in_array(self::LOCK, $domain->statuses, true);

        // What an earlier try asked for once more does no harm, so a code is never found.
        $isDone = match (true) {
            $order instanceof SwitchLock => $isLocked === $order->on,
            $order instanceof SwitchAutoRenew => $beyond?->autoRenew === $order->on,
            // If the account no longer has it, a registrar names the one that does.
            $order instanceof HandOver => ($beyond->number ?? $domain->sponsor) === ($order->receiver['number'] ?? null),
            $order instanceof CancelHandover => $beyond !== null && $beyond->offeredTo === null,
            $order instanceof Disclose => $beyond?->shown === $order->fields,
            $order instanceof ReplaceServers => self::apart($order->servers, $domain->servers) === [[], []],
            $order instanceof ReplaceKeys => self::keysOf($domain) === self::sorted($order->delegates),
            $order instanceof ReplaceRegistrant => $domain->registrant === $order->holder->handle,
            $order instanceof TransferIn => ($beyond->number ?? $domain->sponsor) === $account->number,
            $order instanceof Renew => self::isRenewed($domain, $order),
            $order instanceof Restore => array_intersect(self::DELETED, $domain->statuses) === [],
            default => false,
        };
        $isOffered = $order instanceof HandOver
            && $beyond?->offeredTo !== null
            && $beyond->offeredTo === ($order->receiver['number'] ?? null);

        return match (true) {
            $isDone => Answer::done(
                null,
                'seen by asking',
                told: ($order instanceof Renew || $order instanceof Restore) && $domain->ends !== null
                    ? new Told(Instant::from($domain->ends))
                    : null,
            ),
            $isOffered || ($order instanceof TransferIn && $this->isAskedFor($account, $order)) => Answer::pending(null, 'seen by asking'),
            default => null,
        };
    }

    /** It runs further, and not only because its registry renewed it by itself (RFC 3915 §3.1): that one could still be taken back. */
    private static function isRenewed(DomainData $domain, Renew $order): bool
    {
        return $domain->ends !== null &&
            Instant::from($domain->ends)->toDay()->isAfter($order->ends->toDay()) &&
            ! (in_array('autoRenewPeriod', $domain->statuses, true) && ! in_array('renewPeriod', $domain->statuses, true));
    }

    /** The end that it has now, what was charged (RFC 8748 §5.2.3), and what is left. */
    private static function told(Order $order, EppResponse $response): ?Told
    {
        if (! $order instanceof Renew) {
            return null;
        }
        $ends = NewEnd::of($response)->ends;

        return self::toldOf($ends === null ? null : Instant::from($ends), Fees::charged($response));
    }

    private static function toldOf(?Instant $ends, ?Fees $fees): Told
    {
        return Told::of(
            $ends,
            $fees === null ? null : [...$fees->fees, ...$fees->credits],
            $fees?->balance,
            $fees?->currency,
        );
    }

    /** Whether it is this account that has asked for it, and waits (RFC 5731 §3.1.3). */
    private function isAskedFor(Account $account, TransferIn $order): bool
    {
        $response = $this->gates
            ->of($account)
            ->command(new Transfer(EppObject::Domain, TransferStep::Query, $order->name, $order->code), 'find-'.bin2hex(random_bytes(8)));
        $transfer = $response->code() === EppCode::Done ? TransferData::of($response) : null;

        return $transfer?->state === 'pending' && $transfer->asker === $account->number;
    }

    public function greet(Account $account): string
    {
        return self::words($this->gates->of($account)->command(new AccountInfo($account->number), 'try-'.bin2hex(random_bytes(8))));
    }

    public function balance(Account $account): ?Money
    {
        return $this->reading($account, function () use ($account): ?Money {
            $response = $this->gates->of($account)->command(new AccountInfo($account->number), 'balance-'.bin2hex(random_bytes(8)));
            $holds = $response->code() === EppCode::Done ? AccountHolds::of($response) : null;

            return $holds === null ? null : Told::of(null, null, $holds->amount, $holds->currency)->balance;
        });
    }

    public function prices(Account $account, array $names): ?array
    {
        return $this->reading($account, function () use ($account, $names): ?array {
            $response = $this->gates->of($account)->command(new FeeCheck($names, ['renew' => 1]), 'prices-'.bin2hex(random_bytes(8)));
            if ($response->code() !== EppCode::Done && count($names) > 1) {
                // One of them may be why all are refused.
                return array_merge(...array_map(fn (string $one): array => $this->prices($account, [$one]) ?? [], $names));
            }
            if ($response->code() !== EppCode::Done || $response->extension(EppNamespace::Fee, 'chkData') === null) {
                return null;
            }
            $found = [];
            foreach (Fees::allOf($response) as $name => $fees) {
                $told = isset($fees['renew']) ? Told::of(null, $fees['renew']->fees, null, $fees['renew']->currency)->charged : null;
                if ($told !== null && isset($fees['renew'])) {
                    $found[$name] = new AskedPrice($told, $fees['renew']->isStandard);
                }
            }

            return $found;
        });
    }

    public function entries(Account $account, string $after): ?AccountEntries
    {
        return $this->reading($account, function () use ($account, $after): ?AccountEntries {
            $response = $this->gates->of($account)->command(
                new AccountInfo($account->number, $after),
                'entries-'.bin2hex(random_bytes(8)),
            );
            if ($response->code() !== EppCode::Done || AccountHolds::of($response) === null) {
                return null;
            }
            $entries = AccountEntry::allOf($response);

            return new AccountEntries(
                array_values(array_filter(array_map(self::line(...), $entries))),
                $entries === [] ? null : $entries[count($entries) - 1]->id,
                AccountEntry::areMore($response),
            );
        });
    }

    private static function line(AccountEntry $entry): ?StatementLine
    {
        return StatementLine::told(
            $entry->id,
            $entry->at === null ? null : Instant::from($entry->at),
            $entry->amount,
            $entry->currency,
            $entry->kind,
            $entry->name,
        );
    }

    public function messages(Account $account, callable $keep): void
    {
        $before = '';
        for ($taken = 0; $taken < self::MOST; $taken++) {
            $response = $this->gates->of($account)->command(Poll::next(), 'poll-'.bin2hex(random_bytes(8)));
            $id = $response->message->id ?? '';
            // One that was acknowledged and comes again would come for ever.
            if ($response->code() !== EppCode::AckToDequeue || $id === '' || $id === $before) {
                return;
            }
            $keep(self::message($response));
            $this->gates->of($account)->command(Poll::kept($id), 'kept-'.bin2hex(random_bytes(8)));
            $before = $id;
        }
    }

    /**
     * An answer of which something that is needed can't be read is as good as none.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     *
     * @throws NotReached
     */
    private function reading(Account $account, callable $do): mixed
    {
        try {
            return $do();
        } catch (EppError|XmlError $e) {
            throw NotReached::garbled(explode(':', $account->registrar->gate ?? '')[0], $e->getMessage());
        }
    }

    /**
     * A holder must be there before a name can be theirs; one that an earlier try made is there already (RFC 5733 §3.2.1).
     *
     * @return Answer|null why they can't be; null: they are there
     */
    private function makeKnown(Account $account, ReplaceRegistrant $order): ?Answer
    {
        $holder = $order->holder;
        $response = $this->gates
            ->of($account)
            ->command(
                new ContactCreate(
                    $holder->handle,
                    $holder->postal(),
                    $holder->contact->voice?->epp(),
                    $holder->contact->mailbox?->address() ?? '',
                    rtrim(strtr(base64_encode(random_bytes(16)), '+/', '-_'), '='),
                    self::withheld($order),
                ),
                'holder-'.bin2hex(random_bytes(8)),
            );
        $code = $response->code();

        return match (true) {
            $code->isSuccess() => null,
            $code === EppCode::Exists => $this->isThere($account, $holder)
                ? null
                : Answer::refused($code->value, "{$holder->handle} is somebody else’s there."),
            $code->isServers() || $code->endsSession() => Answer::later($code->value, self::words($response)),
            default => Answer::refused($code->value, self::words($response)),
        };
    }

    /** The wish not to show what the name doesn't show (RFC 5733 §2.9); of an address, as soon as a part of it isn't shown, nothing. */
    private static function withheld(ReplaceRegistrant $order): ?WithheldFields
    {
        $elements = [
            'name' => [Field::Name],
            'org' => [Field::Organisation],
            'addr' => [Field::Street, Field::Town, Field::Region, Field::Postcode, Field::Country],
            'voice' => [Field::Voice],
            'email' => [Field::Mailbox],
        ];
        $withheld = array_keys(
            array_filter($elements, fn (array $fields): bool => array_diff(array_column($fields, 'value'), $order->fields ?? []) !== []),
        );

        return $order->fields === null || $withheld === [] ? null : new WithheldFields(false, $withheld);
    }

    private function isThere(Account $account, Holder $holder): bool
    {
        $response = $this->gates->of($account)->command(new ContactInfo($holder->handle), 'holder-'.bin2hex(random_bytes(8)));

        return $response->code() === EppCode::Done &&
            strcasecmp(ContactData::of($response)->mailbox, $holder->contact->mailbox?->address() ?? '') === 0;
    }

    /** A gate tells the code of an own name (RFC 5731 §3.1.2); where none is set, one is: 128 random bits (RFC 9154 §4.1). */
    private function code(Account $account, RequestCode $order): Answer
    {
        $gate = $this->gates->of($account);
        $response = $gate->command(new DomainInfo($order->name), $order->transaction);
        $kept = $response->code() === EppCode::Done ? DomainData::of($response)->code : null;
        if ($kept !== null && $kept !== '') {
            return Answer::done($response->code()->value, self::words($response), $kept);
        }
        if ($response->code()->isSuccess()) {
            $new = rtrim(strtr(base64_encode(random_bytes(16)), '+/', '-_'), '=');
            $response = $gate->command(new DomainUpdate($order->name, code: $new), 'code-'.bin2hex(random_bytes(8)));
            if ($response->code()->isSuccess()) {
                return Answer::done($response->code()->value, self::words($response), $new);
            }
        }

        return self::failed($response);
    }

    /**
     * First the request, then the report without which it goes back into redemption (RFC 3915 §3.1): whatever an earlier try has done of it
     * is not done again. Nothing of the name is changed meanwhile, so its data before and after is what the registry has.
     */
    private function restore(Account $account, Restore $order): Answer
    {
        $gate = $this->gates->of($account);
        $ask = fn (): EppResponse => $gate->command(new DomainInfo($order->name), 'restore-'.bin2hex(random_bytes(8)));
        $response = $ask();
        if ($response->code() !== EppCode::Done) {
            return self::failed($response);
        }
        $before = $now = DomainData::of($response);
        $fees = null;
        if (! in_array('pendingRestore', $before->statuses, true)) {
            $response = $gate->command(new DomainUpdate($order->name, restore: true, fee: self::fee($order->fee)), $order->transaction);
            if (! $response->code()->isSuccess()) {
                return self::failed($response);
            }
            $fees = Fees::charged($response);
            $now = DomainData::of($ask());
        }
        if (in_array('pendingRestore', $now->statuses, true)) {
            $asked = $now->updated ?? Instant::second(time())->toDateTime();
            $response = $gate->command(
                new RestoreReport(
                    $order->name,
                    self::described($before),
                    self::described($now),
                    $order->deleted?->toDateTime() ?? $before->updated ?? $asked,
                    $asked,
                    $order->reason,
                ),
                'report-'.bin2hex(random_bytes(8)),
            );
            $now = $response->code() === EppCode::Done ? DomainData::of($ask()) : $now;
        }

        return match (true) {
            ! $response->code()->isSuccess() => self::failed($response),
            // Somebody there looks at it first.
            array_intersect(self::DELETED, $now->statuses) !== [] => Answer::later($response->code()->value, self::words($response)),
            default => Answer::done(
                $response->code()->value,
                self::words($response),
                told: self::toldOf($now->ends === null ? null : Instant::from($now->ends), $fees),
            ),
        };
    }

    /** A name's data as a report says it. */
    private static function described(DomainData $domain): string
    {
        return implode('; ', array_filter([
            $domain->registrant === null ? '' : "registrant {$domain->registrant}",
            $domain->servers === [] ? 'no name servers' : 'name servers '.implode(', ', $domain->servers),
            $domain->created === null ? '' : 'created '.$domain->created->format(DATE_ATOM),
            $domain->ends === null ? '' : 'expires '.$domain->ends->format(DATE_ATOM),
        ], fn (string $part): bool => $part !== ''));
    }

    private static function failed(EppResponse $response): Answer
    {
        return $response->code()->isServers() || $response->code()->endsSession()
            ? Answer::later($response->code()->value, self::words($response))
            : Answer::refused($response->code()->value, self::words($response));
    }

    /** @param  array{string, string}|null  $fee */
    private static function fee(?array $fee): ?AgreedFee
    {
        return $fee === null ? null : new AgreedFee($fee[0], $fee[1]);
    }

    private static function command(Order $order): EppCommand
    {
        return match (true) {
            $order instanceof SwitchLock => $order->on
                ? new DomainUpdate($order->name, add: new DomainChange(statuses: [self::LOCK]))
                : new DomainUpdate($order->name, remove: new DomainChange(statuses: [self::LOCK])),
            $order instanceof SwitchAutoRenew => AccountUpdate::autoRenew($order->name, $order->on),
            $order instanceof HandOver => AccountUpdate::handOver(
                $order->name,
                $order->receiver['number'] ?? '',
                $order->receiver['login'] ?? '',
            ),
            $order instanceof CancelHandover => AccountUpdate::cancelHandover($order->name),
            $order instanceof ReplaceRegistrant => new DomainUpdate($order->name, registrant: $order->holder->handle),
            $order instanceof TransferIn => new Transfer(
                EppObject::Domain,
                TransferStep::Request,
                $order->name,
                $order->code,
                fee: self::fee($order->fee),
            ),
            $order instanceof Renew => new DomainRenew(
                $order->name,
                $order->ends->toDateTime(),
                $order->years,
                self::fee($order->fee),
            ),
            $order instanceof CancelTransfer => new Transfer(EppObject::Domain, TransferStep::Cancel, $order->name),
            $order instanceof AnswerTransfer => new Transfer(
                EppObject::Domain,
                $order->isYes ? TransferStep::Approve : TransferStep::Reject,
                $order->name,
            ),
            $order instanceof Disclose => AccountUpdate::disclose($order->name, $order->fields),
            $order instanceof ReplaceKeys => new DomainUpdate(
                $order->name,
                keys: new KeyChange(array_map(self::signingKey(...), $order->delegates), removeAll: true),
            ),
            default => throw new LogicException("{$order->kind()->value} is no single command."),
        };
    }

    /** A name's servers are put and taken one by one (RFC 5731 §3.2.5), so those that are there are asked for first. */
    private function otherServers(Account $account, ReplaceServers $order): EppCommand|Answer
    {
        $response = $this->gates->of($account)->command(new DomainInfo($order->name), 'servers-'.bin2hex(random_bytes(8)));
        if ($response->code() !== EppCode::Done) {
            return self::failed($response);
        }
        [$put, $take] = self::apart($order->servers, DomainData::of($response)->servers);

        foreach ($this->unknownHosts($account, $put) as $host) {
            // One that can't be made known is refused with the name's own answer.
            $this->gates->of($account)->command(
                new HostCreate($host, new HostAddresses($order->glue[$host] ?? [])),
                'host-'.bin2hex(random_bytes(8)),
            );
        }

        return $put === [] && $take === []
            ? Answer::done(null, 'seen by asking')
            : new DomainUpdate($order->name, add: new DomainChange(servers: $put), remove: new DomainChange(servers: $take));
    }

    /**
     * A registry gives names only to servers that it knows (RFC 5731 §1.1, RFC 5732).
     *
     * @param  list<string>  $hosts
     * @return list<string>
     */
    private function unknownHosts(Account $account, array $hosts): array
    {
        if ($hosts === []) {
            return [];
        }
        $response = $this->gates->of($account)->command(new Check(EppObject::Host, $hosts), 'hosts-'.bin2hex(random_bytes(8)));
        $known = $response->code() === EppCode::Done ? Availability::allOf($response, EppObject::Host) : [];

        return array_values(array_filter($hosts, fn (string $host): bool => ($known[$host] ?? null)?->isFree === true));
    }

    private static function signingKey(string $delegate): SigningKey
    {
        [$tag, $algorithm, $type, $digest] = [...explode(' ', $delegate), '', '', ''];

        return new SigningKey((int) $tag, (int) $algorithm, (int) $type, $digest);
    }

    /** @return list<string> */
    private static function keysOf(DomainData $domain): array
    {
        return self::sorted(
            array_map(
                fn (SigningKey $key): string => "{$key->keyTag} {$key->algorithm} {$key->digestType} ".strtoupper($key->digest),
                $domain->ds,
            ),
        );
    }

    /**
     * @param  list<string>  $texts
     * @return list<string>
     */
    private static function sorted(array $texts): array
    {
        sort($texts);

        return $texts;
    }

    /**
     * @param  list<string>  $wanted
     * @param  list<string>  $there
     * @return array{list<string>, list<string>} what is to be put there, and to be taken
     */
    private static function apart(array $wanted, array $there): array
    {
        return [array_values(array_diff($wanted, $there)), array_values(array_diff($there, $wanted))];
    }

    private static function message(EppResponse $response): Message
    {
        $at = $response->message?->at;
        // What we don't understand is kept as it came.
        $body = Redacted::frame(
            implode("\n", array_map(fn (XmlNode $node): string => $node->source(), [...$response->data, ...$response->extensions])),
        );
        [$kind, $name, $state, $to, $transaction] = self::about($response);

        return new Message(
            $response->message->id ?? '',
            $at === null ? null : Instant::from($at),
            $response->message->text ?? '',
            $body,
            $name,
            $kind,
            $state,
            $to,
            $transaction,
            match ($kind) {
                MessageKind::Charge => self::chargeTold($response),
                MessageKind::Balance => self::balanceTold($response),
                default => null,
            },
        );
    }

    /**
     * @return array{MessageKind|null, string|null, string|null, string|null, string|null} what it is, of which name, how that stands, to
     *     whom, and our own id of it; of what is only half said, the name
     */
    private static function about(EppResponse $response): array
    {
        try {
            $handover = HandoverData::of($response);
            $charge = ChargeData::of($response);
            $low = LowBalance::of($response);
            $transfer = $response->objectOrNull(EppNamespace::Domain, 'trnData') === null ? null : TransferData::of($response);
            $ended = PendingAction::of($response);
        } catch (EppError|XmlError) {
            return [null, self::anyName($response), null, null, null];
        }

        return match (true) {
            $handover !== null => [MessageKind::Handover, $handover->name, $handover->state, $handover->to, null],
            $transfer !== null => [MessageKind::Transfer, $transfer->key, $transfer->state, $transfer->asker, null],
            $low !== null => [MessageKind::Balance, null, 'low', null, null],
            $charge !== null => [MessageKind::Charge, $charge->name, $charge->state, null, null],
            $ended !== null => [MessageKind::Action, $ended->key, $ended->isDone ? 'done' : 'refused', null, $ended->client],
            default => [null, self::anyName($response), null, null, null],
        };
    }

    private static function chargeTold(EppResponse $response): ?Told
    {
        $charge = ChargeData::of($response);

        return $charge === null ? null : Told::of(null, [$charge->sum], $charge->balance, $charge->currency);
    }

    private static function balanceTold(EppResponse $response): ?Told
    {
        $low = LowBalance::of($response);

        return $low === null ? null : Told::of(null, null, $low->balance, $low->currency);
    }

    /** The first name that it speaks of: whatever is said of one, its record is looked at soon. */
    private static function anyName(EppResponse $response): ?string
    {
        foreach ($response->data as $node) {
            foreach ($node->all() as $child) {
                if ($child->name() === 'name' && $child->isLeaf() && $child->text() !== '') {
                    return strtolower($child->text());
                }
            }
        }

        return null;
    }

    private static function words(EppResponse $response): string
    {
        return mb_substr(
            Redacted::frame(trim($response->results[0]->message.'. '.implode(' ', $response->results[0]->why), '. ')),
            0,
            1_000,
        );
    }
}
