<?php

declare(strict_types=1);

namespace App\Actions\Gates;

use App\Models\Account;
use App\Models\Order;
use App\Models\OrderState;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\Answer;
use App\Outside\Registrar\AnswerKind;
use App\Outside\Registrar\Registrar;
use App\Outside\Registrar\Registrars;
use App\Support\Failpoint;
use Illuminate\Database\Connection;

/**
 * Tells a registrar what was written down for it, one after the other, one worker an account. An order is marked before it
 * is sent; found marked, because no answer came or a worker died, what became of it is asked for, and it is never sent
 * again blindly.
 */
final readonly class TellOrders
{
    /** Seconds after a silence until it is asked what became of an order; doubled each time. */
    private const AGAIN = 3;

    private const LONGEST = 600;

    public function __construct(private Connection $database, private Registrars $registrars, private OrderEnded $ended)
    {
    }

    /** @return bool whether there may be more to tell at once; false also when another worker is at it, or the gate is out of reach */
    public function handle(int $accountId, int $most = 200): bool
    {
        $account = Account::query()->with('registrar')->findOrFail($accountId);
        $registrar = $this->registrars->of($account);
        if ($registrar === null || $this->database->scalar('SELECT pg_try_advisory_lock(7301, ?)', [$accountId]) !== true) {
            return false;
        }
        try {
            for ($told = 0; $told < $most; $told++) {
                $order = Order::query()->with(['name', 'line'])->where('account_id', $accountId)->whereIn('state', [OrderState::Waiting, OrderState::Sent])->whereRaw('not_before <= clock_timestamp()')->orderBy('id')->first();
                if ($order === null || ! $this->one($registrar, $account, $order)) {
                    return false;
                }
            }

            return true;
        } finally {
            $this->database->select('SELECT pg_advisory_unlock(7301, ?)', [$accountId]);
        }
    }

    /** @return bool whether the gate answered */
    private function one(Registrar $registrar, Account $account, Order $order): bool
    {
        try {
            if ($order->state === OrderState::Sent) {
                $found = $registrar->find($account, $order->told());
                if ($found !== null) {
                    $this->settle($order, $found);

                    return true;
                }
                // It was not carried out: what is told now is another command.
                $order->update(['transaction' => PlaceOrder::transaction(), 'state' => OrderState::Waiting]);
            }
            // Only what still waits: it may have been called off meanwhile.
            $marked = $this->database->update("UPDATE orders SET state = 'sent', sent_at = clock_timestamp(), attempts = attempts + 1 WHERE id = ? AND state = 'waiting'", [$order->id]);
            Failpoint::OrderMarked->reach();
            if ($marked === 1) {
                $answer = $registrar->carryOut($account, $order->refresh()->load('name')->told());
                Failpoint::OrderAnswered->reach();
                $this->settle($order, $answer);
            }

            return true;
        } catch (NotReached $e) {
            $wait = min(self::LONGEST, max($e->wait ?? 0, self::AGAIN * 2 ** min(10, $order->attempts)));
            $this->database->update("UPDATE orders SET not_before = clock_timestamp() + ? * interval '1 second', answer = ? WHERE id = ? AND state IN ('waiting', 'sent')", [$wait, mb_substr($e->getMessage(), 0, 1_000), $order->id]);

            return false;
        }
    }

    /** The answer and what follows from it, in one transaction. */
    private function settle(Order $order, Answer $answer): void
    {
        $this->database->transaction(function () use ($order, $answer): void {
            $locked = Order::query()->lockForUpdate()->findOrFail($order->id);
            if ($locked->state !== OrderState::Sent) {
                return;
            }
            if ($answer->kind === AnswerKind::Later) {
                $this->database->update("UPDATE orders SET state = 'waiting', transaction = ?, not_before = clock_timestamp() + ? * interval '1 second', code = ?, answer = ? WHERE id = ?", [PlaceOrder::transaction(), min(self::LONGEST, self::AGAIN * 2 ** min(10, $locked->attempts)), $answer->code, $answer->words, $locked->id]);

                return;
            }
            $locked->fill([
                'state' => match ($answer->kind) {
                    AnswerKind::Done => OrderState::Done, AnswerKind::Pending => OrderState::Pending, default => OrderState::Refused,
                },
                'code' => $answer->code, 'answer' => $answer->words,
            ])->save();
            $this->database->update('UPDATE orders SET answered_at = clock_timestamp() WHERE id = ?', [$locked->id]);
            $this->ended->handle($locked);
        });
    }
}
