<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Order;
use App\Models\OrderState;
use App\Outside\Registrar\OrderKind;

/** How an order stands, as `outside.order` in the language file says it. */
final readonly class OrderWord
{
    /** What is pending is the receiver's to accept, or has been put off by the registrar. */
    public static function of(Order $order): string
    {
        return $order->state === OrderState::Pending && $order->kind !== OrderKind::HandOver ? 'put_off' : $order->state->value;
    }
}
