<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** It is offered to another account of the same registrar. */
final readonly class HandOver extends Order
{
    /**
     * @param  array<string, string>  $receiver  what names the receiving account, by identifier
     * @param  string|null  $accepted  when its holder said yes to us, RFC 3339; null: the registrar asks them
     */
    public function __construct(string $transaction, string $name, public array $receiver, public ?string $accepted = null)
    {
        parent::__construct($transaction, $name);
    }

    public function kind(): OrderKind
    {
        return OrderKind::HandOver;
    }
}
