<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use Acre\Core\Lifecycle\Lock;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\DeedError;
use App\Actions\Deeds\EndLines;
use App\Actions\Gates\GateOrders;
use App\Actions\Handover\LockAgain;
use App\Actions\Movements\TakeLegs;
use App\Actions\Standings\MakeStandings;
use App\Jobs\WorkGate;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Name;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\Registration;
use App\Models\User;
use App\Outside\Registrar\OrderKind;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Builder;
use LogicException;

/** What orders' ends mean for the dockets that wanted them. In the caller's transaction. */
final readonly class SettleOrders
{
    public function __construct(
        private Connection $database,
        private GateOrders $gateOrders,
        private EndLines $end,
        private LockAgain $lock,
        private TakeLegs $legs,
        private MakeStandings $standings,
        private TradeClock $clock,
    ) {
    }

    /**
     * Orders with all that their ends may touch, locked in the house's order: dockets, lines, names, orders.
     *
     * @param  list<int>  $orderIds
     * @param  list<int>  $nameIds  others that are locked as well
     * @return array<int, Order> by id
     */
    public function locked(array $orderIds, array $nameIds = []): array
    {
        $rows = Row::all(
            $this->database->select(
                'SELECT o.name_id, o.docket_line_id, l.docket_id FROM orders o LEFT JOIN docket_lines l ON l.id = o.docket_line_id
                    WHERE o.id = ANY (?::bigint[])',
                ['{'.implode(',', $orderIds).'}'],
            ),
        );
        $column = fn (string $name): array => array_values(
            array_unique(array_filter(array_map(fn (Row $row): ?int => $row->intOrNull($name), $rows), is_int(...))),
        );
        Docket::query()->whereKey($column('docket_id'))->orderBy('id')->lockForUpdate()->pluck('id');
        DocketLine::query()->whereKey($column('docket_line_id'))->orderBy('name_id')->orderBy('id')->lockForUpdate()->pluck('id');
        Name::query()
            ->whereKey([...$column('name_id'), ...$nameIds])
            ->orderBy('id')
            ->lockForUpdate()
            ->pluck('id');
        /** @var array<int, Order> $orders */
        $orders = Order::query()->with('line')->whereKey($orderIds)->orderBy('id')->lockForUpdate()->get()->keyBy('id')->all();

        return $orders;
    }

    /**
     * @param  list<Order>  $orders  done or refused
     * @param  array<int, Instant>  $saidAt  by the order's id, when its registrar said so, where that was heard only long after
     */
    public function handle(array $orders, array $saidAt = []): void
    {
        $groups = [];
        foreach ($orders as $order) {
            if ($order->state === OrderState::Done && ! $order->ends_line) {
                $this->writeDown($order);
                $this->legs->done($order, $this->clock->now());
            }
            // The rest can't do without a step before: where it is refused, it ends the line as well.
            $isNeeded = $order->ends_line || ($order->state === OrderState::Refused && $order->kind !== OrderKind::ApproveTransfer);
            // Without the losing side's yes it goes through by silence.
            $line = $isNeeded ? $order->line : null;
            if ($line !== null && $line->state === LineState::Begun) {
                // What is refused ends for its reason, what is done on its instant.
                $groups[$line->docket_id][$order->state->value][
                    $order->state === OrderState::Refused ? $order->answer ?? '' : ($saidAt[$order->id] ?? null)?->isoSecond() ?? ''
                ][] = $line->id;
            }
        }
        $this->follow($orders);
        foreach ($groups as $docketId => $states) {
            $docket = Docket::query()->with('settler')->findOrFail($docketId);
            $by = $docket->settler ?? throw new LogicException("Docket {$docketId} has orders, and nobody has settled it.");
            foreach ($states as $state => $answers) {
                foreach ($answers as $answer => $lines) {
                    $state === OrderState::Done->value
                        ? $this->done($by, $docket, $lines, $answer === '' ? null : Instant::of((string) $answer))
                        : $this->end->refused($by, $docket, $lines, (string) $answer);
                }
            }
        }
    }

    /**
     * What waits only until these are under way can be sent now.
     *
     * @param  list<Order>  $orders  that wait for somebody else
     */
    public function underWay(array $orders): void
    {
        $ids = array_map(fn (Order $order): int => $order->id, $orders);
        $this->tell(Order::query()->whereIn('after_id', $ids)->where('after_pending', true));
        $this->legs->ordered($orders, $this->clock->now());
    }

    /** @param  Builder<Order>  $next */
    private function tell(Builder $next): void
    {
        $accounts = $next->where('state', OrderState::Waiting)->distinct()->pluck('account_id');
        foreach (array_filter($accounts->all(), is_int(...)) as $account) {
            $this->database->afterCommit(fn () => WorkGate::dispatch($account));
        }
    }

    /**
     * What waited for one that is done can be sent now; what waited for one that never will be is called off.
     *
     * @param  list<Order>  $orders
     */
    private function follow(array $orders): void
    {
        $of = fn (OrderState $state): array => array_map(
            fn (Order $order): int => $order->id,
            array_filter($orders, fn (Order $order): bool => $order->state === $state),
        );
        $this->tell(Order::query()->whereIn('after_id', $of(OrderState::Done)));
        $this->gateOrders->callOffAfter($of(OrderState::Refused));
    }

    /**
     * @param  list<int>  $lines
     * @param  Instant|null  $saidAt  null: just now
     */
    private function done(User $by, Docket $docket, array $lines, ?Instant $saidAt): void
    {
        $now = $this->clock->now();
        // Never before we told it, whatever clock the registrar goes by.
        $on = $saidAt === null ? $now : Instant::latest($saidAt, $docket->settled_on ?? $saidAt);
        try {
            $this->end->done($by, $docket, $lines, $on);
        } catch (DeedError $e) {
            if ($saidAt === null) {
                throw $e;
            }
            // Something else was recorded of one of them since; that one counts from today.
            foreach ($lines as $line) {
                $this->done($by, $docket, [$line], count($lines) === 1 ? null : $saidAt);
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
        if ($lock === Lock::On) {
            $this->lock->seen([$order->name_id], $this->clock->now());
        }
        $registration =
            $lock === null
                ? null
                : Registration::query()->where('name_id', $order->name_id)->whereRaw('upper_inf(span)')->lockForUpdate()->first();
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
