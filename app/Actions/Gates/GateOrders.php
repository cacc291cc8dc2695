<?php

declare(strict_types=1);

namespace App\Actions\Gates;

use App\Jobs\WorkGate;
use App\Models\Account;
use App\Models\DocketLine;
use App\Models\Order;
use App\Models\OrderState;
use App\Outside\Registrar\Registrars;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Support\Str;

/**
 * What registrars are to be told of lines: who can be told, and how it is taken back. `PendingWrites` writes it down, in the transaction
 * that wants it; it is told afterwards.
 */
final class GateOrders
{
    /** @var array<int, bool> by account */
    private array $reached = [];

    public function __construct(private readonly Connection $database, private readonly Registrars $registrars)
    {
    }

    /** Whether the account's registrar takes commands; else a person must act. */
    public function takesCommands(int $accountId): bool
    {
        return $this->reached[$accountId] ??= $this->registrars->hasLink(Account::query()->with('registrar')->findOrFail($accountId));
    }

    /**
     * Lines of which their registrar was told something that can't be taken back and isn't answered yet: what becomes of them it says.
     * The orders of all of them are locked, so that none is told meanwhile.
     *
     * @param  list<int>  $lineIds
     * @return list<int>
     */
    public function told(array $lineIds): array
    {
        $told = [];
        foreach (
            Order::query()
                ->whereIn('docket_line_id', $lineIds)
                ->whereIn('state', [OrderState::Waiting, OrderState::Sent, OrderState::Pending])
                ->orderBy('id')
                ->lockForUpdate()
                ->get() as $order
        ) {
            if ($order->state !== OrderState::Waiting && ! $order->kind->canBeTakenBack()) {
                $told[] = (int) $order->docket_line_id;
            }
        }

        return $told;
    }

    /** What was placed for a line and not told yet is called off; what was told is told to be taken back. */
    public function takeBack(DocketLine $line): void
    {
        foreach (
            Order::query()
                ->where('docket_line_id', $line->id)
                ->whereIn('state', [OrderState::Waiting, OrderState::Sent, OrderState::Pending])
                ->lockForUpdate()
                ->get() as $order
        ) {
            $back = $order->kind->takenBackBy();
            if ($order->state !== OrderState::Waiting && $back !== null) {
                Order::query()->create([
                    'account_id' => $order->account_id,
                    'name_id' => $order->name_id,
                    'docket_line_id' => null,
                    'kind' => $back,
                    'terms' => [],
                    'transaction' => self::transaction(),
                    'state' => OrderState::Waiting,
                ]);
                $this->database->afterCommit(fn () => WorkGate::dispatch($order->account_id));
            }
            $order->update(['state' => OrderState::CalledOff]);
            $this->callOffAfter([$order->id]);
        }
    }

    /** Its line is done, whoever said so: what still waited for an answer has it, and what was not told is not told any more. */
    public function settled(DocketLine $line): void
    {
        $open = Order::query()->where('docket_line_id', $line->id);
        $open->clone()->where('state', OrderState::Pending)->update(['state' => OrderState::Done]);
        $open->clone()->where('state', OrderState::Waiting)->update(['state' => OrderState::CalledOff]);
    }

    /**
     * What waits for these is told to nobody any more, nor what waits for that.
     *
     * @param  array<array-key, int>  $orderIds
     */
    public function callOffAfter(array $orderIds): void
    {
        while ($orderIds !== []) {
            $rows = Row::all(
                $this->database->select(
                    "UPDATE orders SET state = 'called_off' WHERE after_id = ANY (?::bigint[]) AND state = 'waiting' RETURNING id",
                    ['{'.implode(',', $orderIds).'}'],
                ),
            );
            $orderIds = array_map(fn (Row $row): int => $row->int('id'), $rows);
        }
    }

    /** Ours, and nobody's else: RFC 5730 §2.8 asks that it is unique at the client. */
    public static function transaction(): string
    {
        return 'roll-'.strtolower((string) Str::ulid());
    }
}
