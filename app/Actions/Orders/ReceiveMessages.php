<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Actions\Money\TakeCharge;
use App\Actions\Money\TakeLowBalance;
use App\Actions\Setbacks\SetAside;
use App\Actions\Transfer\TransferAway;
use App\Jobs\EndSeenLine;
use App\Models\Account;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\SetbackKind;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\Message;
use App\Outside\Registrar\MessageKind;
use App\Outside\Registrar\OrderKind;
use App\Outside\Registrar\Registrars;
use App\Support\Failpoint;
use App\Support\HouseLog;
use App\Support\Outage;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use Throwable;

/** Takes what waits at a gate, keeps it, acknowledges it, and lets it have its effect; any step may be repeated. */
final class ReceiveMessages
{
    /** Messages that have their effect together. */
    private const BATCH = 100;

    /**
     * Seconds after which the time at which a thing was said counts, not the time at which we received it: the house's own choice, twice
     * the time between two looks.
     */
    private const LATE = 600;

    /** How registrars say that it was done: of a handover, of a transfer (RFC 5731 §3.1.3), of what was put off. */
    private const DONE = ['accepted', 'clientApproved', 'serverApproved', 'done'];

    /** Tries of a transaction that another one was in the way of. */
    private const TRIES = 3;

    /** Characters of a registrar's number of a message. */
    private const NUMBER = 300;

    /** @var array<int, Order> open ones of the names that the messages are about, locked */
    private array $orders = [];

    public function __construct(
        private readonly Connection $database,
        private readonly Registrars $registrars,
        private readonly SettleOrders $ended,
        private readonly TakeCharge $charged,
        private readonly TakeLowBalance $low,
        private readonly SetAside $aside,
        private readonly HouseLog $log,
        private readonly TradeClock $clock,
    ) {
    }

    public function handle(int $accountId): void
    {
        $account = Account::query()->with('registrar')->findOrFail($accountId);
        $registrar = $this->registrars->of($account);
        if ($registrar === null || $this->database->scalar('SELECT pg_try_advisory_lock(7302, ?)', [$accountId]) !== true) {
            return;
        }
        try {
            $this->applyAll($account);
            $registrar->messages($account, fn (Message $message) => $this->keep($account, $message));
        } catch (NotReached) {
            // What was kept stands; the rest waits there.
        } finally {
            $this->applyAll($account);
            $this->database->select('SELECT pg_advisory_unlock(7302, ?)', [$accountId]);
        }
    }

    /** One that was taken before, and only not acknowledged, stands here already. */
    private function keep(Account $account, Message $message): void
    {
        $write = fn (Message $one): bool => $this->database->transaction(
            fn (): bool => $this->database->statement(
                'INSERT INTO gate_messages (account_id, message, said_at, text, body, name_id, kind, state, receiver, transaction, told)
                    VALUES (?, ?, ?, ?, ?, (SELECT id FROM names WHERE ascii = ?), ?, ?, ?, ?, ?)
                    ON CONFLICT (account_id, message) DO NOTHING',
                [
                    $account->id,
                    self::number($one->id),
                    $one->at?->isoSecond(),
                    mb_substr($one->text, 0, 2_000),
                    mb_substr($one->body, 0, 20_000),
                    $one->name,
                    $one->kind?->value,
                    $one->state,
                    $one->to,
                    $one->transaction,
                    $one->told === null ? null : json_encode((object) $one->told->jsonSerialize(), JSON_THROW_ON_ERROR),
                ],
            ),
        );
        try {
            $write($message);
        } catch (QueryException $e) {
            if (Outage::is($e)) {
                throw $e;
            }
            // Whatever in it can't be kept, it must not come for ever.
            $write(new Message($message->id, null, 'What it said could not be kept.', '', null, null, null, null));
        }
        Failpoint::MessageKept->reach();
    }

    /** A registrar's number of a message as it is kept; one that is longer is known by its digest. */
    private static function number(string $id): string
    {
        return strlen($id) <= self::NUMBER ? $id : hash('sha256', $id);
    }

    /** Together, or, where that fails, each by itself: one that can't have its effect is set aside, and the rest goes on. */
    private function applyAll(Account $account): void
    {
        do {
            $ids = array_map(
                fn (Row $row): int => $row->int('id'),
                Row::all(
                    $this->database->select(
                        "SELECT id FROM gate_messages m WHERE account_id = ? AND applied_at IS NULL
                            AND NOT EXISTS (SELECT FROM setbacks s WHERE s.kind = 'message' AND s.subject_id = m.id
                            AND s.retry_at > clock_timestamp()) ORDER BY id LIMIT ?",
                        [$account->id, self::BATCH],
                    ),
                ),
            );
            try {
                $this->database->transaction(fn () => $this->applySome($account, $ids), self::TRIES);
                $this->aside->clear(SetbackKind::Message, $ids);
            } catch (Throwable $e) {
                foreach ($ids as $id) {
                    $this->aside->attempt(
                        SetbackKind::Message,
                        $id,
                        fn () => $this->database->transaction(fn () => $this->applySome($account, [$id]), self::TRIES),
                        $account->id,
                    );
                }
            }
        } while (count($ids) === self::BATCH);
    }

    /** @param  list<int>  $ids */
    private function applySome(Account $account, array $ids): void
    {
        $about = array_map(
            fn (Row $row): int => $row->int('name_id'),
            Row::all(
                $this->database->select('SELECT DISTINCT name_id FROM gate_messages WHERE id = ANY (?::bigint[]) AND name_id IS NOT NULL', [
                    self::list($ids),
                ]),
            ),
        );
        $this->orders = $this->ended->locked(
            array_values(
                array_filter(
                    Order::query()
                        ->where('account_id', $account->id)
                        ->whereIn('name_id', $about)
                        ->whereIn('state', [OrderState::Sent, OrderState::Pending])
                        ->pluck('id')
                        ->all(),
                    is_int(...),
                ),
            ),
            $about,
        );
        $rows = Row::all(
            $this->database->select(
                'SELECT id, name_id, said_at, kind, state, receiver, transaction, text, message, told FROM gate_messages
                    WHERE id = ANY (?::bigint[]) AND applied_at IS NULL ORDER BY id FOR UPDATE',
                [self::list($ids)],
            ),
        );
        $this->apply($account, array_values(array_filter($rows, fn (Row $row): bool => $row->intOrNull('name_id') !== null)));
        foreach ($rows as $row) {
            if ($row->textOrNull('kind') === MessageKind::Balance->value) {
                $this->low->handle($account, $row);
            }
        }
        $this->database->update('UPDATE gate_messages SET applied_at = clock_timestamp() WHERE id = ANY (?::bigint[])', [self::list($ids)]);
    }

    /** @param  list<Row>  $messages  that are about a name of ours */
    private function apply(Account $account, array $messages): void
    {
        $this->log->writeMany(
            array_map(
                fn (Row $one): array => [
                    'event' => 'gate_said',
                    'subject' => 'name',
                    'subject_id' => $one->int('name_id'),
                    'data' => ['account' => $account->id, 'kind' => $one->textOrNull('kind'), 'state' => $one->textOrNull('state')],
                ],
                $messages,
            ),
        );
        // Whatever they say, the record is looked at soon.
        $this->database->update("UPDATE observing SET due_at = '-infinity' WHERE name_id = ANY (?::bigint[]) AND due_at < 'infinity'", [
            self::list(array_map(fn (Row $one): int => $one->int('name_id'), $messages)),
        ]);
        $ended = $saidAt = [];
        foreach ($messages as $one) {
            if ($one->textOrNull('kind') === MessageKind::Transfer->value && in_array($one->textOrNull('state'), self::DONE, true)) {
                $this->left($account, $one);
            }
            if ($one->textOrNull('kind') === MessageKind::Charge->value) {
                $this->charged->handle($account, $one);
            }
            $order = match (MessageKind::tryFrom($one->textOrNull('kind') ?? '')) {
                MessageKind::Handover => $this->handover($one),
                MessageKind::Transfer => $this->transfer($one),
                MessageKind::Action => $this->putOff($one),
                default => null,
            };
            if ($order !== null) {
                $order
                    ->fill([
                        'state' => in_array($one->textOrNull('state'), self::DONE, true) ? OrderState::Done : OrderState::Refused,
                        'answer' => $one->text('text'),
                    ])
                    ->save();
                $ended[] = $order;
                $said = $one->instant('said_at');
                if ($said?->plusSeconds(self::LATE)->isBefore($this->clock->now()) === true) {
                    $saidAt[$order->id] = $said;
                }
            }
        }
        $this->ended->handle($ended, $saidAt);
    }

    /** The handover that a message ends. */
    private function handover(Row $message): ?Order
    {
        if (! in_array($message->textOrNull('state'), ['accepted', 'refused', 'lapsed'], true)) {
            return null;
        }

        return $this->open(
            $message,
            fn (Order $order): bool => $order->kind === OrderKind::HandOver &&
                ($order->terms['number'] ?? null) === $message->textOrNull('receiver'),
        );
    }

    /** A name that was to leave this account has: no order of ours waits for that. */
    private function left(Account $account, Row $message): void
    {
        if ($message->textOrNull('receiver') === $account->number) {
            return;
        }
        $lines = DocketLine::query()
            ->where('name_id', $message->int('name_id'))
            ->where('giving_account_id', $account->id)
            ->where('state', LineState::Begun)
            ->whereHas('docket', fn ($docket) => $docket->where('deed', TransferAway::key()))
            ->pluck('id');
        foreach (array_filter($lines->all(), is_int(...)) as $id) {
            $this->database->afterCommit(fn () => EndSeenLine::dispatch($id));
        }
    }

    /** The transfer to this account that a message ends. */
    private function transfer(Row $message): ?Order
    {
        if ($message->textOrNull('state') === 'pending') {
            return null;
        }

        return $this->open(
            $message,
            fn (Order $order): bool => $order->kind === OrderKind::Transfer && $order->account->number === $message->textOrNull('receiver'),
        );
    }

    /** What was put off and is decided, known by the id that it was told with. */
    private function putOff(Row $message): ?Order
    {
        return $this->open($message, fn (Order $order): bool => $order->transaction === $message->textOrNull('transaction'));
    }

    /**
     * The first of its orders that is still open, those that a message before has ended left out.
     *
     * @param  callable(Order): bool  $is
     */
    private function open(Row $message, callable $is): ?Order
    {
        foreach ($this->orders as $order) {
            if (
                $order->name_id === $message->int('name_id') &&
                in_array($order->state, [OrderState::Sent, OrderState::Pending], true) &&
                $is($order)
            ) {
                return $order;
            }
        }

        return null;
    }

    /** @param  list<int>  $ids */
    private static function list(array $ids): string
    {
        return '{'.implode(',', $ids).'}';
    }
}
