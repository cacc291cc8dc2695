<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use Acre\Core\Movement\Identifier;
use App\Models\Account;
use JsonSerializable;

/** An order as a bridge is told it: the schema `Order` of docs/bridge.yaml. */
final readonly class BridgeOrder implements JsonSerializable
{
    public function __construct(private Account $account, private Order $order)
    {
    }

    /** @return array<string, string|array<array-key, string|list<string>>> */
    public function jsonSerialize(): array
    {
        $named = array_map(
            fn (Identifier $identifier): string => $identifier->value,
            $this->account->registrar->receiver_by->identifiers(),
        );

        return ['kind' => $this->order->kind->value, 'name' => $this->order->name] +
            ($this->order->receiver === [] ? [] : ['to' => array_intersect_key($this->order->receiver, array_flip($named))]) +
            ($this->order->kind === OrderKind::Disclose ? ['shown' => $this->order->fields()] : []) +
            ($this->order->servers === [] ? [] : ['servers' => $this->order->servers]) +
            ($this->order->holder === null ? [] : ['holder' => $this->holder($this->order->holder)]) +
            ($this->order->accepted === null ? [] : ['accepted' => $this->order->accepted]);
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
