<?php

declare(strict_types=1);

namespace App\Actions\Handover;

use Acre\Core\Movement\LegKind;
use Acre\Core\Time\Instant;
use App\Actions\Gates\GateOrders;
use App\Jobs\WorkGate;
use App\Models\Acceptance;
use App\Models\Account;
use App\Models\DocketLine;
use App\Models\Leg;
use App\Models\Movement;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\User;
use App\Outside\Registrar\OrderKind;
use App\Queries\Accounts\Unlocked;
use App\Support\HouseLog;
use Illuminate\Database\Connection;

/**
 * The lock that a movement lifted for its own sake is set again however the movement ends. That leg stays open until it is
 * seen: a registrar that takes commands is told at once, elsewhere Rounds say it.
 */
final readonly class LockAgain
{
    public function __construct(private Connection $database, private GateOrders $orders, private HouseLog $log)
    {
    }

    /**
     * In the transaction that ends the line.
     *
     * @param  int  $accountId  where the name lies now
     */
    public function after(DocketLine $line, int $accountId, Instant $now): void
    {
        $open = Leg::query()
            ->whereIn('kind', [LegKind::LockAccount, LegKind::SetLock])
            ->whereNull('done_on')
            ->whereRaw(
                'movement_id = (SELECT id FROM movements WHERE name_id = ? AND docket_id = ? ORDER BY id DESC LIMIT 1)',
                [$line->name_id, $line->docket_id],
            )
            ->get()
            ->keyBy(fn (Leg $leg): string => $leg->kind->value);
        $movement = $open->first()?->movement_id;
        if ($movement === null) {
            return;
        }
        // An account is unlocked by hand alone: where no slip was followed it never was.
        if (! $this->wasByHand($line, $movement)) {
            $open->get(LegKind::LockAccount->value)?->update(['done_on' => $now]);
        }
        $leg = $open->get(LegKind::SetLock->value);
        if ($leg === null) {
            return;
        }
        if (! $this->wasLifted($line, $movement)) {
            $leg->update(['done_on' => $now]);

            return;
        }
        if ($this->orders->takesCommands($accountId)) {
            Order::query()->create([
                'account_id' => $accountId,
                'name_id' => $line->name_id,
                'docket_line_id' => null,
                'kind' => OrderKind::LockOn,
                'ends_line' => false,
                'terms' => [],
                'transaction' => GateOrders::transaction(),
                'state' => OrderState::Waiting,
            ]);
            $this->database->afterCommit(fn () => WorkGate::dispatch($accountId));
        }
    }

    /**
     * The locks of these names were seen to be on.
     *
     * @param  list<int>  $nameIds
     */
    public function seen(array $nameIds, Instant $now): void
    {
        $this->database->update(
            "UPDATE legs g SET done_on = ?::timestamptz, updated_at = clock_timestamp() FROM movements m
                WHERE m.id = g.movement_id AND m.closed_on IS NOT NULL AND g.kind = 'set_lock' AND g.done_on IS NULL
                AND m.name_id = ANY (?::bigint[])",
            [$now->isoSecond(), '{'.implode(',', $nameIds).'}'],
        );
    }

    /**
     * Somebody says that an account is locked again.
     *
     * @return int of how many names it was the last step
     */
    public function accountLocked(User $user, Account $account, Instant $now): int
    {
        return $this->database->transaction(function () use ($user, $account, $now): int {
            $legs = $this->database->update(
                'UPDATE legs SET done_on = ?::timestamptz, updated_at = clock_timestamp() WHERE done_on IS NULL AND id IN (SELECT g.id '.
                    Unlocked::OPEN.
                    ' AND l.giving_account_id = ?)',
                [$now->isoSecond(), $account->id],
            );
            if ($legs > 0) {
                $this->log->write('account_locked', 'account', $account->id, ['names' => $legs], $user->id);
            }

            return $legs;
        });
    }

    /** By wire if a registrar was told, whatever it answered but no; by hand if the slip was there to be followed. */
    private function wasLifted(DocketLine $line, int $movementId): bool
    {
        if (Leg::query()->where('movement_id', $movementId)->where('kind', LegKind::LiftLock)->whereNotNull('done_on')->exists()) {
            return true;
        }
        $told = Order::query()->where('docket_line_id', $line->id)->where('kind', OrderKind::LockOff)->latest('id')->first();
        if ($told !== null) {
            return $told->state !== OrderState::Refused && $told->sent_at !== null;
        }

        return $this->wasByHand($line, $movementId);
    }

    /** Whether the slip was there to be followed. */
    private function wasByHand(DocketLine $line, int $movementId): bool
    {
        return Order::query()->where('docket_line_id', $line->id)->doesntExist() &&
            Leg::query()->where('movement_id', $movementId)->whereNotNull('confirmation_id')->whereNull('done_on')->doesntExist() &&
            Acceptance::query()
                ->where('docket_id', $line->docket_id)
                ->where(fn ($open) => $open->whereNull('accepted')->orWhere('accepted', false))
                ->doesntExist();
    }
}
