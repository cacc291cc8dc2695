<?php

declare(strict_types=1);

namespace App\Actions\Gates;

use Acre\Core\Lifecycle\Lock;
use App\Actions\Deeds\EndLines;
use App\Actions\Standings\MakeStandings;
use App\Models\Docket;
use App\Models\LineState;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Support\TradeClock;
use LogicException;

/** What orders' ends mean for the dockets that wanted them. In the caller's transaction. */
final readonly class OrderEnded
{
    public function __construct(private EndLines $end, private MakeStandings $standings, private TradeClock $clock)
    {
    }

    /** @param  list<Order>  $orders  done or refused */
    public function handle(array $orders): void
    {
        $groups = [];
        foreach ($orders as $order) {
            if ($order->state === OrderState::Done && ! $order->ends_line) {
                $this->writeDown($order);
            }
            $line = $order->ends_line ? $order->line : null;
            if ($line !== null && $line->state === LineState::Begun) {
                $groups[$line->docket_id][$order->state->value][$order->state === OrderState::Refused ? $order->answer ?? '' : ''][] = $line->id;
            }
        }
        foreach ($groups as $docketId => $states) {
            $docket = Docket::query()->with('settler')->findOrFail($docketId);
            $by = $docket->settler ?? throw new LogicException("Docket {$docketId} has orders, and nobody has settled it.");
            foreach ($states as $state => $answers) {
                foreach ($answers as $answer => $lines) {
                    $state === OrderState::Done->value ? $this->end->done($by, $docket, $lines, $this->clock->now()) : $this->end->refused($by, $docket, $lines, (string) $answer);
                }
            }
        }
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
