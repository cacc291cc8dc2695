<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use App\Models\Account;
use App\Outside\Registrar\Orders\Disclose;
use App\Outside\Registrar\Orders\HandOver;
use App\Outside\Registrar\Orders\Order;
use App\Outside\Registrar\Orders\Renew;
use App\Outside\Registrar\Orders\ReplaceKeys;
use App\Outside\Registrar\Orders\ReplaceRecords;
use App\Outside\Registrar\Orders\ReplaceRegistrant;
use App\Outside\Registrar\Orders\ReplaceServers;
use App\Outside\Registrar\Orders\Restore;
use App\Outside\Registrar\Orders\TransferIn;
use JsonSerializable;

/** An order as a bridge is told it: the schema `Order` of docs/bridge.yaml. */
final readonly class BridgeOrder implements JsonSerializable
{
    public function __construct(private Account $account, private Order $order)
    {
    }

    /** @return array<string, string|int|array<array-key, string|list<string>>> */
    public function jsonSerialize(): array
    {
        return ['kind' => $this->order->kind()->value, 'name' => $this->order->name] + match (true) {
            $this->order instanceof HandOver => $this->receiver($this->order),
            $this->order instanceof Disclose => ['shown' => $this->order->fields],
            $this->order instanceof ReplaceServers => ['servers' => $this->order->servers]
                + ($this->order->glue === [] ? [] : ['glue' => $this->order->glue]),
            $this->order instanceof ReplaceRecords => ['records' => $this->order->records],
            $this->order instanceof ReplaceKeys => ['ds' => $this->order->delegates],
            $this->order instanceof TransferIn => array_filter([
                'code' => $this->order->code,
                'fee' => self::fee($this->order->fee),
            ], fn (string|array|null $value): bool => $value !== null),
            $this->order instanceof Renew => array_filter([
                'ends' => $this->order->ends->date(),
                'years' => $this->order->years,
                'fee' => self::fee($this->order->fee),
            ], fn (string|int|array|null $value): bool => $value !== null),
            $this->order instanceof Restore => array_filter([
                'deleted' => $this->order->deleted?->isoSecond(),
                'reason' => $this->order->reason,
                'fee' => self::fee($this->order->fee),
            ], fn (string|array|null $value): bool => $value !== null),
            $this->order instanceof ReplaceRegistrant => ['holder' => $this->holder($this->order->holder)],
            default => [],
        };
    }

    /**
     * @param  array{string, string}|null  $fee
     * @return array{amount: string, currency: string}|null
     */
    private static function fee(?array $fee): ?array
    {
        return $fee === null ? null : ['amount' => $fee[0], 'currency' => $fee[1]];
    }

    /** @return array<string, string|array<string, string>> named as its registrar names accounts */
    private function receiver(HandOver $order): array
    {
        $named = array_column($this->account->registrar->receiver_by->identifiers(), 'value', 'value');

        return ['to' => array_intersect_key($order->receiver, $named)]
            + ($order->accepted === null ? [] : ['accepted' => $order->accepted]);
    }

    /** @return array<string, string|list<string>> */
    private function holder(Holder $holder): array
    {
        $contact = $holder->contact;
        $address = $contact->address;

        return array_filter(
            [
                'handle' => $holder->handle,
                'kind' => $contact->kind->value,
                'name' => $contact->person,
                'organisation' => $contact->organisation,
                'street' => $address->street,
                'town' => $address->town,
                'region' => $address->region,
                'postcode' => $address->postcode,
                'country' => $address->country?->code,
                'voice' => $contact->voice?->epp(),
                'mailbox' => $contact->mailbox?->address(),
            ],
            fn (string|array|null $value): bool => $value !== null && $value !== [],
        );
    }
}
