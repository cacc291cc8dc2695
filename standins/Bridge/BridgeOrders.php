<?php

declare(strict_types=1);

namespace Standin\Bridge;

use Acre\Wire\Json\JsonNode;
use LogicException;
use Standin\Dns\Zone;
use Standin\Registry\Account;
use Standin\Registry\Holder;
use Standin\Registry\Prices;
use Standin\Registry\Registered;
use Standin\Registry\Sales;
use Standin\World;

/** What an account may order of a name at the registrar behind the bridge. */
final readonly class BridgeOrders
{
    private const LOCK = 'clientTransferProhibited';

    /** Where this registrar's own name servers lie. */
    private const OURS = '.oriel-names.example';

    /** What this registrar sells of disclosure: fields in the order of the alphabet. */
    private const STEPS = [
        [],
        ['country', 'organisation'],
        ['country', 'mailbox', 'name', 'organisation', 'postcode', 'region', 'street', 'town', 'voice'],
    ];

    /** Orders of names that may lie elsewhere. */
    private const OF_OTHERS = ['transfer', 'cancel_transfer'];

    public function __construct(private World $world)
    {
    }

    /**
     * @return array{state: 'done'|'pending'|'refused', reason?: string, code?: string, ends?: string,
     *     charged?: array{amount: string, currency: string}, balance?: array{amount: string, currency: string}}
     */
    public function carryOut(Account $account, JsonNode $order): array
    {
        $name = $this->world->store->name(strtolower($order->text('name')));
        $kind = $order->text('kind');
        $isHere = $name !== null && $name->account === $account->number && $name->registrar === $account->registrar;
        if ($name === null || (! $isHere && ! in_array($kind, self::OF_OTHERS, true))) {
            return self::refused("{$order->text('name')} does not lie in this account.");
        }
        if ($this->world->refuses($name->name)) {
            return self::refused('We do not do that for this name.');
        }
        $answer = match ($kind) {
            'lock_on' => $this->lock($name, true),
            'lock_off' => $this->lock($name, false),
            'auto_renew_on', 'auto_renew_off' => $this->autoRenew($name, $kind === 'auto_renew_on'),
            'hand_over' => $this->handOver($account, $name, $order),
            'cancel_handover' => $this->cancel($name),
            'auth_code' => $this->code($name),
            'registrant' => $this->holder($name, $order->nodeOrNull('holder')),
            'servers' => $this->servers($name, $order->texts('servers')),
            'keys' => $this->keys($name, $order->texts('ds')),
            'records' => $this->records($name, $order->texts('records')),
            'disclose' => $this->disclose($name, $order->texts('shown')),
            'renew' => $this->renew($account, $name, $order),
            'restore' => $this->restore($account, $name, $order),
            'transfer' => $this->transfer($account, $name, $order),
            'cancel_transfer' => $this->endTransfer($name, 'clientCancelled', $name->transfer?->to === $account->number),
            'approve_transfer' => $this->endTransfer($name, 'clientApproved', $isHere),
            'refuse_transfer' => $this->endTransfer($name, 'clientRejected', $isHere),
            default => throw new LogicException("The contract has no order {$kind}."),
        };
        if ($answer['state'] !== 'refused') {
            $this->world->change($name);
        }

        return $answer;
    }

    /** @return array{state: 'pending'|'refused', reason?: string} */
    private function transfer(Account $account, Registered $name, JsonNode $order): array
    {
        $price = $this->world->prices->of('transfer', $name->name, $this->world->now());
        $why = match (true) {
            $name->account === $account->number => 'It is here already.',
            $name->transfer !== null => 'Somebody has asked for it already.',
            $name->code === null || ! hash_equals($name->code, $order->textOrNull('code') ?? '') => 'Its registry does not take this code.',
            $account->balance < $price => 'The account holds too little.',
            ! $this->world->beginTransfer($name, $account->number, $this->world->now()) => 'It is locked, or can’t be transferred now.',
            default => null,
        };
        if ($why !== null) {
            return self::refused($why);
        }
        $this->world->till->take($account, $price, 'transfer', $name->name, $this->world->now());

        return ['state' => 'pending'];
    }

    /**
     * @return array{state: 'done'|'refused', reason?: string, ends?: string, charged?: array{amount: string, currency: string},
     *     balance?: array{amount: string, currency: string}}
     */
    private function renew(Account $account, Registered $name, JsonNode $order): array
    {
        if ($order->text('ends') !== gmdate('Y-m-d', $name->ends ?? 0)) {
            return self::refused('It ends on another day: '.gmdate('Y-m-d', $name->ends ?? 0).'.');
        }

        return self::sold(
            $account,
            $name,
            (new Sales($this->world))->renew($account, $name, $order->intOrNull('years') ?? 1, self::most($order)),
        );
    }

    /**
     * @return array{state: 'done'|'refused', reason?: string, ends?: string, charged?: array{amount: string, currency: string},
     *     balance?: array{amount: string, currency: string}}
     */
    private function restore(Account $account, Registered $name, JsonNode $order): array
    {
        return self::sold($account, $name, (new Sales($this->world))->restore($account, $name, self::most($order)));
    }

    /** @return int|null pence */
    private static function most(JsonNode $order): ?int
    {
        $fee = $order->nodeOrNull('fee');

        return $fee === null ? null : (int) round(100 * (float) $fee->text('amount'));
    }

    /**
     * @return array{state: 'done'|'refused', reason?: string, ends?: string, charged?: array{amount: string, currency: string},
     *     balance?: array{amount: string, currency: string}}
     */
    private static function sold(Account $account, Registered $name, int|string $sold): array
    {
        return is_string($sold) ? self::refused($sold) : [
            'state' => 'done',
            'ends' => gmdate('Y-m-d\TH:i:s\Z', $name->ends ?? 0),
            'charged' => ['amount' => Prices::written($sold), 'currency' => Prices::CURRENCY],
            'balance' => ['amount' => Prices::written($account->balance), 'currency' => Prices::CURRENCY],
        ];
    }

    /** @return array{state: 'done'|'refused', reason?: string} */
    private function endTransfer(Registered $name, string $how, bool $isTheirs): array
    {
        if ($name->transfer === null || ! $isTheirs) {
            return self::refused('No transfer of it is yours to end.');
        }
        $this->world->endTransfer($name, $how, $this->world->now());

        return ['state' => 'done'];
    }

    /** @return array{state: 'done'|'refused', reason?: string} */
    private function lock(Registered $name, bool $on): array
    {
        if ($name->has('clientUpdateProhibited') || $name->has('serverUpdateProhibited')) {
            return self::refused('Changes of it are prohibited.');
        }
        $name->change($on ? ['ok'] : [self::LOCK], $on ? [self::LOCK] : []);

        return ['state' => 'done'];
    }

    /**
     * @param  list<string>  $servers
     * @return array{state: 'done'|'refused', reason?: string}
     */
    private function servers(Registered $name, array $servers): array
    {
        if ($name->has('clientUpdateProhibited') || $name->has('serverUpdateProhibited')) {
            return self::refused('Changes of it are prohibited.');
        }
        $name->servers = array_map(strtolower(...), $servers);

        return ['state' => 'done'];
    }

    /**
     * @param  list<string>  $ds
     * @return array{state: 'done'|'refused', reason?: string}
     */
    private function keys(Registered $name, array $ds): array
    {
        if ($name->has('clientUpdateProhibited') || $name->has('serverUpdateProhibited')) {
            return self::refused('Changes of it are prohibited.');
        }
        $name->ds = array_map(function (string $one): array {
            [$tag, $algorithm, $type, $digest] = explode(' ', $one);

            return [(int) $tag, (int) $algorithm, (int) $type, $digest];
        }, $ds);

        return ['state' => 'done'];
    }

    /**
     * @param  list<string>  $records
     * @return array{state: 'done'|'refused', reason?: string}
     */
    private function records(Registered $name, array $records): array
    {
        if (array_filter($name->servers, fn (string $host): bool => ! str_ends_with($host, self::OURS)) !== []) {
            return self::refused('Its zone is not on our name servers.');
        }
        $hosts = $this->world->store->hosts;
        $hosts->putRecords($name->name, Zone::changed($name->name, $hosts->records($name->name), $records));

        return ['state' => 'done'];
    }

    /** @return array{state: 'done'} */
    private function autoRenew(Registered $name, bool $on): array
    {
        $name->autoRenew = $on;

        return ['state' => 'done'];
    }

    /** @return array{state: 'done'|'pending'|'refused', reason?: string} */
    private function handOver(Account $account, Registered $name, JsonNode $order): array
    {
        $to = $this->world->store->accountByHandle($account->registrar, $order->nodeOrNull('to')?->textOrNull('handle') ?? '');
        if ($to === null || $to->number === $account->number) {
            return self::refused($to === null ? 'No account has that handle.' : 'It lies in that account already.');
        }
        if ($name->handover !== null) {
            return self::refused("A handover to {$name->handover->to} is pending.");
        }
        // The receiver's own word, which the giving side has kept: it goes at once. Without it the receiver is asked here.
        $isAccepted = $order->textOrNull('accepted') !== null;
        $this->world->offer($name, $account, $to, asks: ! $isAccepted);
        if ($isAccepted) {
            $this->world->endHandover($name, 'accepted', $this->world->now());
        }

        return ['state' => $isAccepted ? 'done' : 'pending'];
    }

    /** @return array{state: 'done'|'refused', reason?: string} */
    private function cancel(Registered $name): array
    {
        if ($name->handover === null) {
            return self::refused('No handover is pending.');
        }
        $this->world->endHandover($name, 'cancelled', $this->world->now());

        return ['state' => 'done'];
    }

    /** @return array{state: 'done'|'refused', reason?: string, code?: string} */
    private function code(Registered $name): array
    {
        if ($name->has(self::LOCK)) {
            return self::refused('The lock is on.');
        }
        $name->code ??= rtrim(strtr(base64_encode(random_bytes(18)), '+/', '-_'), '=');

        return ['state' => 'done', 'code' => $name->code];
    }

    /**
     * @param  list<string>  $shown
     * @return array{state: 'done'|'refused', reason?: string}
     */
    private function disclose(Registered $name, array $shown): array
    {
        sort($shown);
        if (! in_array($shown, self::STEPS, true)) {
            return self::refused('We sell hidden, the organisation alone, or everything.');
        }
        $name->shown = $shown;

        return ['state' => 'done'];
    }

    /** @return array{state: 'done'|'refused', reason?: string} */
    private function holder(Registered $name, ?JsonNode $said): array
    {
        if (
            $said === null ||
            ($said->textOrNull('country') ?? '') === '' ||
            ($said->textOrNull('name') ?? $said->textOrNull('organisation')) === null
        ) {
            return self::refused('A holder has a name or an organisation, and a country.');
        }
        $text = fn (string $field): string => $said->textOrNull($field) ?? '';
        $name->holder = new Holder(
            $text('handle'),
            $text('name'),
            $text('organisation'),
            implode(', ', $said->texts('street')),
            $text('town'),
            $text('region'),
            $text('postcode'),
            $text('country'),
            $text('voice'),
            $text('mailbox'),
        );

        return ['state' => 'done'];
    }

    /** @return array{state: 'refused', reason: string} */
    private static function refused(string $reason): array
    {
        return ['state' => 'refused', 'reason' => $reason];
    }
}
