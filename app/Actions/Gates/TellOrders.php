<?php

declare(strict_types=1);

namespace App\Actions\Gates;

use App\Models\Account;
use App\Models\Order;
use App\Models\OrderState;
use App\Outside\Reach\NotReached;
use App\Outside\Reach\Patience;
use App\Outside\Registrar\Answer;
use App\Outside\Registrar\AnswerKind;
use App\Outside\Registrar\Registrar;
use App\Outside\Registrar\Registrars;
use App\Support\Failpoint;
use App\Support\Row;
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

    /** Orders that are marked together. */
    private const BATCH = 25;

    public function __construct(private Connection $database, private Registrars $registrars, private OrderEnded $ended, private KeepCode $codes, private Patience $patience)
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
            for ($told = 0; $told < $most; $told += count($orders)) {
                // What a registrar takes no more of this minute waits; whoever sweeps comes again.
                $left = $this->patience->left("gate {$account->registrar_id}", $account->registrar->gate_a_minute);
                $orders = $left <= 0 ? [] : Order::query()->with(['name', 'line'])->where('account_id', $accountId)->whereIn('state', [OrderState::Waiting, OrderState::Sent])->whereRaw('not_before <= clock_timestamp()')->orderBy('id')->limit(min(self::BATCH, $left))->get()->all();
                $this->patience->spend("gate {$account->registrar_id}", count($orders));
                if ($orders === [] || ! $this->some($registrar, $account, array_values($orders))) {
                    return false;
                }
            }

            return true;
        } finally {
            $this->database->select('SELECT pg_advisory_unlock(7301, ?)', [$accountId]);
        }
    }

    /**
     * @param  list<Order>  $orders
     * @return bool whether the gate answered
     */
    private function some(Registrar $registrar, Account $account, array $orders): bool
    {
        $answers = [];
        try {
            foreach ($orders as $order) {
                if ($order->state === OrderState::Sent) {
                    $at = $order;
                    $found = $registrar->find($account, $order->told());
                    // Not carried out: what is told then is another command.
                    $found === null ? $order->update(['transaction' => GateOrders::transaction(), 'state' => OrderState::Waiting]) : $answers[] = [$order, $found];
                }
            }
            foreach ($this->marked($orders) as $order) {
                $at = $order;
                $answers[] = [$order, $registrar->carryOut($account, $order->told())];
                Failpoint::OrderAnswered->reach();
            }

            return true;
        } catch (NotReached $e) {
            $this->rest($orders, array_map(fn (array $one): int => $one[0]->id, $answers), $at->id ?? 0, $e);

            return false;
        } finally {
            $this->settle($answers);
        }
    }

    /**
     * Those that still wait, and were not called off meanwhile: marked together, before the first of them is sent.
     *
     * @param  list<Order>  $orders
     * @return list<Order>
     */
    private function marked(array $orders): array
    {
        $waiting = '{'.implode(',', array_map(fn (Order $order): int => $order->id, array_filter($orders, fn (Order $order): bool => $order->state === OrderState::Waiting))).'}';
        $rows = Row::all($this->database->select("UPDATE orders SET state = 'sent', sent_at = clock_timestamp(), attempts = attempts + 1 WHERE id = ANY (?::bigint[]) AND state = 'waiting' RETURNING id, attempts", [$waiting]));
        Failpoint::OrderMarked->reach();
        $marked = [];
        foreach ($rows as $row) {
            $marked[$row->int('id')] = $row->int('attempts');
        }

        return array_values(array_filter($orders, fn (Order $order): bool => isset($marked[$order->id])));
    }

    /**
     * The gate fell silent: what it was being told stays marked, to be asked for; what it was not told yet waits again.
     *
     * @param  list<Order>  $orders
     * @param  list<int>  $answered  ids
     * @param  int  $at  the one that was being told or asked for
     */
    private function rest(array $orders, array $answered, int $at, NotReached $e): void
    {
        $wait = min(self::LONGEST, max($e->wait ?? 0, self::AGAIN * 2 ** min(10, max([0, ...array_map(fn (Order $order): int => $order->attempts, $orders)]))));
        $ids = '{'.implode(',', array_diff(array_map(fn (Order $order): int => $order->id, $orders), $answered)).'}';
        $before = '{'.implode(',', array_map(fn (Order $order): int => $order->id, array_filter($orders, fn (Order $order): bool => $order->state === OrderState::Sent))).'}';
        $this->database->update(
            "UPDATE orders SET not_before = clock_timestamp() + ? * interval '1 second', answer = ?, state = CASE WHEN id = ? OR id = ANY (?::bigint[]) THEN state ELSE 'waiting' END WHERE id = ANY (?::bigint[]) AND state IN ('waiting', 'sent')",
            [$wait, mb_substr($e->getMessage(), 0, 1_000), $at, $before, $ids],
        );
    }

    /**
     * Answers and what follows from them, in one transaction.
     *
     * @param  list<array{Order, Answer}>  $answers
     */
    private function settle(array $answers): void
    {
        if ($answers === []) {
            return;
        }
        $this->database->transaction(function () use ($answers): void {
            $locked = Order::query()->with('line')->whereIn('id', array_map(fn (array $one): int => $one[0]->id, $answers))->orderBy('id')->lockForUpdate()->get()->keyBy('id');
            $ended = [];
            foreach ($answers as [$order, $answer]) {
                $now = $locked->get($order->id);
                if ($now === null || $now->state !== OrderState::Sent) {
                    continue;
                }
                if ($answer->kind === AnswerKind::Later) {
                    $this->database->update("UPDATE orders SET state = 'waiting', transaction = ?, not_before = clock_timestamp() + ? * interval '1 second', code = ?, answer = ? WHERE id = ?", [GateOrders::transaction(), min(self::LONGEST, self::AGAIN * 2 ** min(10, $now->attempts)), $answer->code, $answer->words, $now->id]);

                    continue;
                }
                $state = match ($answer->kind) {
                    AnswerKind::Done => OrderState::Done, AnswerKind::Pending => OrderState::Pending, default => OrderState::Refused,
                };
                $this->database->update('UPDATE orders SET state = ?, code = ?, answer = ?, answered_at = clock_timestamp() WHERE id = ?', [$state->value, $answer->code, $answer->words, $now->id]);
                $now->setRawAttributes(['state' => $state->value, 'answer' => $answer->words] + $now->getAttributes(), true);
                if ($answer->secret !== null) {
                    $this->codes->handle($now->name_id, $answer->secret, 'registrar');
                }
                if ($state !== OrderState::Pending) {
                    $ended[] = $now;
                }
            }
            $this->ended->handle($ended);
        });
    }
}
