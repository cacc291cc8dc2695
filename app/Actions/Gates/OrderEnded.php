<?php

declare(strict_types=1);

namespace App\Actions\Gates;

use App\Actions\Deeds\EndLines;
use App\Models\LineState;
use App\Models\Order;
use App\Models\OrderState;
use App\Support\TradeClock;

/** What an order's end means for the docket that wanted it. In the caller's transaction. */
final readonly class OrderEnded
{
    public function __construct(private EndLines $end, private TradeClock $clock)
    {
    }

    public function handle(Order $order): void
    {
        $line = $order->line()->with('docket.settler')->first();
        $by = $line?->docket->settler;
        if ($line === null || $by === null || $line->state !== LineState::Begun) {
            return;
        }
        match ($order->state) {
            OrderState::Done => $this->end->done($by, $line->docket, [$line->id], $this->clock->now()),
            OrderState::Refused => $this->end->refused($by, $line->docket, [$line->id], $order->answer ?? ''),
            default => null,
        };
    }
}
