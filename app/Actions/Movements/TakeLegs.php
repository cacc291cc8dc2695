<?php

declare(strict_types=1);

namespace App\Actions\Movements;

use Acre\Core\Movement\LegKind;
use Acre\Core\Time\Instant;
use App\Models\Order;
use App\Outside\Registrar\OrderKind;
use Illuminate\Database\Connection;

/** Notes which steps of a movement are taken, as registrars say so or somebody does. In the caller's transaction. */
final readonly class TakeLegs
{
    public function __construct(private Connection $database)
    {
    }

    /** A registrar has carried this out. */
    public function done(Order $order, Instant $at): void
    {
        $kinds = match ($order->kind) {
            OrderKind::LockOff => [LegKind::LiftLock],
            OrderKind::AutoRenewOff => [LegKind::RenewOff],
            OrderKind::AutoRenewOn => [LegKind::RenewOn],
            OrderKind::AuthCode => [LegKind::Code],
            OrderKind::ApproveTransfer => [LegKind::Answer],
            default => [],
        };
        if ($kinds !== []) {
            $this->take([$order->name_id], $kinds, $at);
        }
    }

    /**
     * These were taken by their registrars, and wait for somebody else.
     *
     * @param  list<Order>  $orders
     */
    public function ordered(array $orders, Instant $at): void
    {
        $names = array_map(
            fn (Order $order): int => $order->name_id,
            array_filter($orders, fn (Order $order): bool => $order->kind === OrderKind::Transfer),
        );
        if ($names !== []) {
            $this->take(array_values($names), [LegKind::Order], $at);
        }
    }

    /**
     * Of each name's newest movement.
     *
     * @param  list<int>  $nameIds
     * @param  list<LegKind>  $kinds
     */
    public function take(array $nameIds, array $kinds, Instant $at): void
    {
        $this->database->update(
            'UPDATE legs g SET done_on = ?::timestamptz, updated_at = clock_timestamp() WHERE g.done_on IS NULL AND g.kind = ANY (?)
                AND g.movement_id IN (SELECT (SELECT m.id FROM movements m WHERE m.name_id = n.id ORDER BY m.id DESC LIMIT 1)
                    FROM unnest(?::bigint[]) AS n(id))',
            [$at->isoSecond(), '{'.implode(',', array_column($kinds, 'value')).'}', '{'.implode(',', $nameIds).'}'],
        );
    }
}
