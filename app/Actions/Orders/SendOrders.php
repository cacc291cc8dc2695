<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Actions\Gates\GateOrders;
use App\Actions\Gates\StoreAuthCode;
use App\Actions\Setbacks\SetAside;
use App\Models\Account;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\SetbackKind;
use App\Outside\Reach\NotReached;
use App\Outside\Reach\RateLimit;
use App\Outside\Registrar\Answer;
use App\Outside\Registrar\AnswerKind;
use App\Outside\Registrar\Registrar;
use App\Outside\Registrar\Registrars;
use App\Support\Failpoint;
use App\Support\Row;
use Illuminate\Database\Connection;
use Throwable;

/**
 * Tells a registrar what was recorded for it, one after the other, one worker an account. An order is marked before it
 * is sent; found marked, because no answer came or a worker died, what became of it is asked for, and it is never sent
 * again blindly.
 */
final readonly class SendOrders
{
    /** Seconds after a silence until it is asked what became of an order; doubled each time. */
    private const AGAIN = 3;

    private const LONGEST = 600;

    /** Orders that are marked together. */
    private const BATCH = 25;

    /** Tries of a transaction that another one was in the way of. */
    private const DEADLOCKS = 3;

    /** Orders in a row that may stay without an answer before the gate itself is taken to be away. */
    private const SILENT = 2;

    public function __construct(
        private Connection $database,
        private Registrars $registrars,
        private SettleOrders $ended,
        private StoreAuthCode $codes,
        private RateLimit $patience,
        private SetAside $aside,
    ) {
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
                // What exceeds a registrar's limit for this minute waits for the next sweep.
                $left = $this->patience->left("gate {$account->registrar_id}", $account->registrar->gate_a_minute);
                $orders = $left <= 0 ? [] : $this->due($account, min(self::BATCH, $left));
                $this->patience->spend("gate {$account->registrar_id}", count($orders));
                if ($orders === [] || ! $this->some($registrar, $account, $orders)) {
                    return false;
                }
            }

            return true;
        } finally {
            $this->database->select('SELECT pg_advisory_unlock(7301, ?)', [$accountId]);
        }
    }

    /** @return list<Order> */
    private function due(Account $account, int $most): array
    {
        $orders = Order::query()
            ->with(['name', 'line'])
            ->where('account_id', $account->id)
            ->whereIn('state', [OrderState::Waiting, OrderState::Sent])
            ->whereRaw('not_before <= clock_timestamp()')
            ->whereRaw(Order::IS_NEXT)
            ->orderBy('id')
            ->limit($most)
            ->get()
            ->all();

        return array_map(fn (Order $order): Order => $order->setRelation('account', $account), array_values($orders));
    }

    /**
     * Each by itself: what fails with one of them, outside or here, costs that one. Only where two in a row stay without an
     * answer, or the gate lets nobody in, the rest waits too.
     *
     * @param  list<Order>  $orders
     * @return bool whether the gate answered
     */
    private function some(Registrar $registrar, Account $account, array $orders): bool
    {
        $round = new SendingRound(self::SILENT);
        $marked = [];
        try {
            // What became of those found marked is known before more is told.
            foreach (array_filter($orders, fn (Order $order): bool => $order->state === OrderState::Sent) as $order) {
                $round->take(
                    $order,
                    fn (): ?Answer => $registrar->find($account, $order->told()),
                    $this->fail(...),
                    $this->notCarriedOut(...),
                );
            }
            $marked = $round->isOver() ? [] : $this->marked($orders);
            foreach ($marked as $order) {
                $round->take($order, fn (): Answer => $registrar->carryOut($account, $order->told()), $this->fail(...));
                Failpoint::OrderAnswered->reach();
            }

            return ! $round->isOver();
        } finally {
            $this->release($round->without($marked));
            if ($round->isOver()) {
                $this->rest($account, $round->wait());
            }
            $this->settle($round->answers());
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
        $waiting = self::ids(array_filter($orders, fn (Order $order): bool => $order->state === OrderState::Waiting));
        $rows = Row::all(
            $this->database->select(
                "UPDATE orders SET state = 'sent', sent_at = clock_timestamp(), attempts = attempts + 1
                    WHERE id = ANY (?::bigint[]) AND state = 'waiting' RETURNING id",
                [$waiting],
            ),
        );
        Failpoint::OrderMarked->reach();
        $marked = array_flip(array_map(fn (Row $row): int => $row->int('id'), $rows));

        return array_values(array_filter($orders, fn (Order $order): bool => isset($marked[$order->id])));
    }

    /** It was not carried out: what is told then is another command. Whoever ended it meanwhile has the last word. */
    private function notCarriedOut(Order $order): void
    {
        $transaction = GateOrders::transaction();
        if (
            $this->database->update("UPDATE orders SET state = 'waiting', transaction = ? WHERE id = ? AND state = 'sent'", [
                $transaction,
                $order->id,
            ]) === 1
        ) {
            $order->setRawAttributes(
                ['state' => OrderState::Waiting->value, 'transaction' => $transaction] + $order->getAttributes(),
                true,
            );
        }
    }

    /** It stays marked, to be asked for once it has rested, longer each time; what is no fault of its own waits with the others. */
    private function fail(Order $order, Throwable $e): void
    {
        $isOfGate = $e instanceof NotReached && ! $e->isOfOneQuestion;
        $wait = $isOfGate
            ? min(self::LONGEST, max($e->wait ?? 0, self::AGAIN * 2 ** min(10, $order->attempts)))
            : $this->aside->note(SetbackKind::Order, $order->id, $e, $order->account_id, $order->line?->docket_id, $order->name_id);
        $this->database->update(
            "UPDATE orders SET not_before = clock_timestamp() + ? * interval '1 second', attempts = least(attempts + 1, 1000), answer = ?
                WHERE id = ? AND state IN ('waiting', 'sent')",
            [$wait, $e instanceof NotReached ? mb_substr($e->getMessage(), 0, 1_000) : null, $order->id],
        );
    }

    /** The gate is away: whatever waits for it comes round together, later each time. */
    private function rest(Account $account, int $seconds): void
    {
        $this->database->update(
            "UPDATE orders SET not_before = clock_timestamp() + least(?, greatest(?, ? * 2 ^ least(attempts, 10))) * interval '1 second'
                WHERE account_id = ? AND state = 'waiting' AND not_before <= clock_timestamp() + ? * interval '1 second'",
            [self::LONGEST, $seconds, self::AGAIN, $account->id, self::AGAIN],
        );
    }

    /**
     * What was marked and not told waits again; there was no command of it.
     *
     * @param  list<Order>  $orders
     */
    private function release(array $orders): void
    {
        if ($orders !== []) {
            $this->database->update(
                "UPDATE orders SET state = 'waiting', not_before = clock_timestamp() + ? * interval '1 second'
                    WHERE id = ANY (?::bigint[]) AND state = 'sent'",
                [self::AGAIN, self::ids($orders)],
            );
        }
    }

    /**
     * Answers and what follows from them: together, or, where that fails, each by itself.
     *
     * @param  list<array{Order, Answer}>  $answers
     */
    private function settle(array $answers): void
    {
        if ($answers === []) {
            return;
        }
        try {
            $this->database->transaction(fn () => $this->settleAll($answers), self::DEADLOCKS);
            $this->aside->clear(SetbackKind::Order, array_map(fn (array $one): int => $one[0]->id, $answers));
        } catch (Throwable $e) {
            if (count($answers) > 1) {
                array_map(fn (array $one) => $this->settle([$one]), $answers);

                return;
            }
            $this->fail($answers[0][0], $e);
        }
    }

    /** @param  list<array{Order, Answer}>  $answers */
    private function settleAll(array $answers): void
    {
        $locked = $this->ended->locked(array_map(fn (array $one): int => $one[0]->id, $answers));
        $ended = $pending = [];
        foreach ($answers as [$order, $answer]) {
            $now = $locked[$order->id] ?? null;
            if ($now === null || $now->state !== OrderState::Sent) {
                continue;
            }
            if ($answer->kind === AnswerKind::Later) {
                $this->database->update(
                    "UPDATE orders SET state = 'waiting', transaction = ?, not_before = clock_timestamp() + ? * interval '1 second',
                        code = ?, answer = ? WHERE id = ?",
                    [
                        GateOrders::transaction(),
                        min(self::LONGEST, self::AGAIN * 2 ** min(10, $now->attempts)),
                        $answer->code,
                        $answer->words,
                        $now->id,
                    ],
                );

                continue;
            }
            $state = match ($answer->kind) {
                AnswerKind::Done => OrderState::Done,
                AnswerKind::Pending => OrderState::Pending,
                default => OrderState::Refused,
            };
            $told = $answer->told === null ? null : json_encode((object) $answer->told->jsonSerialize(), JSON_THROW_ON_ERROR);
            $this->database->update(
                'UPDATE orders SET state = ?, code = ?, answer = ?, told = ?, answered_at = clock_timestamp() WHERE id = ?',
                [$state->value, $answer->code, $answer->words, $told, $now->id],
            );
            $now->setRawAttributes(['state' => $state->value, 'answer' => $answer->words, 'told' => $told] + $now->getAttributes(), true);
            if ($answer->secret !== null) {
                $this->codes->handle($now->name_id, $answer->secret, 'registrar');
            }
            if ($state === OrderState::Pending) {
                $pending[] = $now;
            } else {
                $ended[] = $now;
            }
        }
        $this->ended->underWay($pending);
        $this->ended->handle($ended);
    }

    /** @param  array<array-key, Order>  $orders */
    private static function ids(array $orders): string
    {
        return '{'.implode(',', array_map(fn (Order $order): int => $order->id, $orders)).'}';
    }
}
