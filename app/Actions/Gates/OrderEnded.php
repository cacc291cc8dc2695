<?php

declare(strict_types=1);

namespace App\Actions\Gates;

use Acre\Core\Lifecycle\Lock;
use App\Actions\Deeds\EndLines;
use App\Actions\Standings\MakeStandings;
use App\Models\LineState;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Support\TradeClock;

/** What an order's end means for the docket that wanted it. In the caller's transaction. */
final readonly class OrderEnded
{
    public function __construct(private EndLines $end, private MakeStandings $standings, private TradeClock $clock)
    {
    }

    public function handle(Order $order): void
    {
        if ($order->state === OrderState::Done && ! $order->ends_line) {
            $this->writeDown($order);
        }
        $line = $order->line()->with('docket.settler')->first();
        $by = $line?->docket->settler;
        if (! $order->ends_line || $line === null || $by === null || $line->state !== LineState::Begun) {
            return;
        }
        match ($order->state) {
            OrderState::Done => $this->end->done($by, $line->docket, [$line->id], $this->clock->now()),
            OrderState::Refused => $this->end->refused($by, $line->docket, [$line->id], $order->answer ?? ''),
            default => null,
        };
    }

    /** What the registrar did is what our books say from now on. */
    private function writeDown(Order $order): void
    {
        $lock = match ($order->kind) {
            OrderKind::LockOn => Lock::On,
            OrderKind::LockOff => Lock::Off,
            default => null,
        };
        $registration = $lock === null ? null : Registration::query()->where('name_id', $order->name_id)->whereRaw('upper_inf(span)')->lockForUpdate()->first();
        if ($registration === null || $registration->lock === $lock) {
            return;
        }
        $registration->lock = $lock;
        $registration->version++;
        $registration->sources = [...$registration->sources, 'lock' => ['from' => 'wire', 'at' => $this->clock->now()->isoSecond()]];
        $registration->save();
        $this->standings->of([$order->name_id]);
    }
}
