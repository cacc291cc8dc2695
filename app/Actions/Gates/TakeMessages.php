<?php

declare(strict_types=1);

namespace App\Actions\Gates;

use App\Models\Account;
use App\Models\Name;
use App\Models\Order;
use App\Models\OrderState;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\Message;
use App\Outside\Registrar\MessageKind;
use App\Outside\Registrar\OrderKind;
use App\Outside\Registrar\Registrars;
use App\Support\Failpoint;
use App\Support\HouseLog;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Takes what waits at a gate, keeps it, acknowledges it, and lets it have its effect; any step may be repeated. */
final readonly class TakeMessages
{
    public function __construct(private Connection $database, private Registrars $registrars, private OrderEnded $ended, private HouseLog $log)
    {
    }

    public function handle(int $accountId): void
    {
        $account = Account::query()->with('registrar')->findOrFail($accountId);
        $registrar = $this->registrars->of($account);
        if ($registrar === null || $this->database->scalar('SELECT pg_try_advisory_lock(7302, ?)', [$accountId]) !== true) {
            return;
        }
        try {
            $registrar->messages($account, fn (Message $message) => $this->keep($account, $message));
        } catch (NotReached) {
            // What was kept stands; the rest waits there.
        } finally {
            $this->database->select('SELECT pg_advisory_unlock(7302, ?)', [$accountId]);
        }
    }

    private function keep(Account $account, Message $message): void
    {
        $this->database->transaction(function () use ($account, $message): void {
            $nameId = $message->name === null ? null : Name::query()->where('ascii', $message->name)->value('id');
            $rows = $this->database->select(
                'INSERT INTO gate_messages (account_id, message, said_at, text, body, name_id, applied_at) VALUES (?, ?, ?, ?, ?, ?, clock_timestamp()) ON CONFLICT (account_id, message) DO NOTHING RETURNING id',
                [$account->id, $message->id, $message->at?->isoSecond(), mb_substr($message->text, 0, 2_000), mb_substr($message->body, 0, 20_000), is_int($nameId) ? $nameId : null],
            );
            // Taken before, and only not acknowledged.
            if (Row::all($rows) !== [] && is_int($nameId)) {
                $this->apply($account, $message, $nameId);
            }
        });
        Failpoint::MessageKept->reach();
    }

    private function apply(Account $account, Message $message, int $nameId): void
    {
        $this->log->write('gate_said', 'name', $nameId, ['account' => $account->id, 'kind' => $message->kind?->value, 'state' => $message->state]);
        // Whatever it says, the record is looked at soon.
        $this->database->update("UPDATE observing SET due_at = least(due_at, '-infinity') WHERE name_id = ? AND due_at < 'infinity'", [$nameId]);
        if ($message->kind !== MessageKind::Handover || ! in_array($message->state, ['accepted', 'refused', 'lapsed'], true)) {
            return;
        }
        $order = Order::query()->where('name_id', $nameId)->where('account_id', $account->id)->where('kind', OrderKind::HandOver)->whereIn('state', [OrderState::Sent, OrderState::Pending])->lockForUpdate()->first();
        if ($order !== null && ($order->terms['number'] ?? null) === $message->to) {
            $order->fill(['state' => $message->state === 'accepted' ? OrderState::Done : OrderState::Refused, 'answer' => $message->text])->save();
            $this->ended->handle($order);
        }
    }
}
