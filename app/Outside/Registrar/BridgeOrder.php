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

    /** @return array<string, string|array<array-key, string>> */
    public function jsonSerialize(): array
    {
        $named = array_map(fn (Identifier $identifier): string => $identifier->value, $this->account->registrar->receiver_by->identifiers());

        return ['kind' => $this->order->kind->value, 'name' => $this->order->name]
            + ($this->order->receiver === [] ? [] : ['to' => array_intersect_key($this->order->receiver, array_flip($named))])
            + ($this->order->shown === null ? [] : ['shown' => $this->order->fields()])
            + ($this->order->accepted === null ? [] : ['accepted' => $this->order->accepted]);
    }
}
