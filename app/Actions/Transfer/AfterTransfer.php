<?php

declare(strict_types=1);

namespace App\Actions\Transfer;

use Acre\Core\Finding\Actor;
use Acre\Core\Movement\LegKind;
use Acre\Core\Time\Instant;
use App\Actions\Gates\GateOrders;
use App\Actions\Handover\LockAgain;
use App\Actions\Looks\LookSoon;
use App\Jobs\WorkGate;
use App\Models\DocketLine;
use App\Models\Leg;
use App\Models\Movement;
use App\Models\Order;
use App\Models\OrderState;
use App\Outside\Registrar\OrderKind;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** What is to be set once a transfer has ended: there, where it came; where it was, if nothing came of it. In the line's transaction. */
final readonly class AfterTransfer
{
    public function __construct(
        private Connection $database,
        private GateOrders $orders,
        private LockAgain $lock,
        private TradeClock $clock,
    ) {
    }

    /** Later steps are counted from the day on which it arrived, not from the latest possible one. */
    public function counted(DocketLine $line, Instant $on, int $verifyDays): void
    {
        $this->database->update(
            'UPDATE legs g SET due_by = CASE g.kind WHEN ? THEN ?::timestamptz ELSE ?::timestamptz END, updated_at = clock_timestamp()
                FROM movements m WHERE m.id = g.movement_id AND m.name_id = ? AND m.docket_id = ? AND g.done_on IS NULL',
            [
                LegKind::Verify->value,
                $on->plusDays($verifyDays)->isoSecond(),
                $on->plusDays(1)->isoSecond(),
                $line->name_id,
                $line->docket_id,
            ],
        );
    }

    public function arrived(DocketLine $line, int $accountId, bool $mayBeLocked, bool $renews): void
    {
        LookSoon::atZones($this->database, [$line->name_id], $this->clock->now());
        if ($this->orders->takesCommands($accountId)) {
            $this->tell($line, $accountId, [...$mayBeLocked ? [OrderKind::LockOn] : [], ...$renews ? [OrderKind::AutoRenewOn] : []]);
        }
    }

    /** What was to come with it never does; what was switched off for its sake is switched on again. */
    public function stayed(DocketLine $line, Instant $now): void
    {
        $movement = Movement::query()
            ->where('name_id', $line->name_id)
            ->where('docket_id', $line->docket_id)
            ->latest('id')
            ->first();
        if ($movement === null) {
            return;
        }
        $hadRenewed = Leg::query()
            ->where('movement_id', $movement->id)
            ->where('kind', LegKind::RenewOff)
            ->whereNotNull('done_on')
            ->exists();
        Leg::query()
            ->where('movement_id', $movement->id)
            ->whereNull('done_on')
            ->whereIn('kind', [LegKind::Verify, LegKind::Compare, ...$hadRenewed ? [] : [LegKind::RenewOn]])
            ->delete();
        $accountId = $line->giving_account_id ?? 0;
        $this->wantLockAgain($movement, $now);
        $this->lock->after($line, $accountId, $now);
        if ($hadRenewed && $this->orders->takesCommands($accountId)) {
            $this->tell($line, $accountId, [OrderKind::AutoRenewOn]);
        }
    }

    /** A name that was to leave us had no such step: only now that it stays. */
    private function wantLockAgain(Movement $movement, Instant $now): void
    {
        $legs = Leg::query()->where('movement_id', $movement->id)->get();
        $wasLifted = $legs->contains(fn (Leg $leg): bool => $leg->kind === LegKind::LiftLock && $leg->done_on !== null);
        if ($wasLifted && ! $legs->contains(fn (Leg $leg): bool => $leg->kind === LegKind::SetLock)) {
            Leg::query()->create([
                'movement_id' => $movement->id,
                'position' => count($legs) + 1,
                'kind' => LegKind::SetLock,
                'actor' => Actor::House,
                'due_by' => $now->plusDays(1),
            ]);
        }
    }

    /** @param  list<OrderKind>  $kinds */
    private function tell(DocketLine $line, int $accountId, array $kinds): void
    {
        foreach ($kinds as $kind) {
            Order::query()->create([
                'account_id' => $accountId,
                'name_id' => $line->name_id,
                'docket_line_id' => null,
                'kind' => $kind,
                'ends_line' => false,
                'terms' => [],
                'transaction' => GateOrders::transaction(),
                'state' => OrderState::Waiting,
            ]);
        }
        $this->database->afterCommit(fn () => WorkGate::dispatch($accountId));
    }
}
