<?php

declare(strict_types=1);

namespace App\Actions\Gates;

use App\Models\Account;
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
use App\Support\TradeClock;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Builder;

/** Takes what waits at a gate, keeps it, acknowledges it, and lets it have its effect; any step may be repeated. */
final readonly class TakeMessages
{
    /** Messages that have their effect together. */
    private const BATCH = 100;

    /** Seconds after which it counts when a thing was said, and no more when it was heard: the house's own choice, twice the time between two looks. */
    private const LATE = 600;

    public function __construct(private Connection $database, private Registrars $registrars, private OrderEnded $ended, private HouseLog $log, private TradeClock $clock)
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
        $this->database->statement(
            'INSERT INTO gate_messages (account_id, message, said_at, text, body, name_id, kind, state, receiver, transaction) VALUES (?, ?, ?, ?, ?, (SELECT id FROM names WHERE ascii = ?), ?, ?, ?, ?) ON CONFLICT (account_id, message) DO NOTHING',
            [$account->id, $message->id, $message->at?->isoSecond(), mb_substr($message->text, 0, 2_000), mb_substr($message->body, 0, 20_000), $message->name, $message->kind?->value, $message->state, $message->to, $message->transaction],
        );
        Failpoint::MessageKept->reach();
    }

    private function applyAll(Account $account): void
    {
        do {
            $applied = $this->database->transaction(function () use ($account): int {
                $rows = Row::all($this->database->select('SELECT id, name_id, said_at, kind, state, receiver, transaction, text FROM gate_messages WHERE account_id = ? AND applied_at IS NULL ORDER BY id LIMIT ? FOR UPDATE', [$account->id, self::BATCH]));
                $this->apply($account, array_values(array_filter($rows, fn (Row $row): bool => $row->intOrNull('name_id') !== null)));
                $this->database->update('UPDATE gate_messages SET applied_at = clock_timestamp() WHERE id = ANY (?::bigint[])', [self::list(array_map(fn (Row $row): int => $row->int('id'), $rows))]);

                return count($rows);
            });
        } while ($applied === self::BATCH);
    }

    /** @param  list<Row>  $messages  that are about a name of ours */
    private function apply(Account $account, array $messages): void
    {
        $this->log->writeMany(array_map(fn (Row $one): array => ['event' => 'gate_said', 'subject' => 'name', 'subject_id' => $one->int('name_id'), 'data' => ['account' => $account->id, 'kind' => $one->textOrNull('kind'), 'state' => $one->textOrNull('state')]], $messages));
        // Whatever they say, the record is looked at soon.
        $this->database->update("UPDATE observing SET due_at = '-infinity' WHERE name_id = ANY (?::bigint[]) AND due_at < 'infinity'", [self::list(array_map(fn (Row $one): int => $one->int('name_id'), $messages))]);
        $ended = $saidAt = [];
        foreach ($messages as $one) {
            $order = match (MessageKind::tryFrom($one->textOrNull('kind') ?? '')) {
                MessageKind::Handover => $this->handover($account, $one),
                MessageKind::Action => $this->putOff($account, $one),
                default => null,
            };
            if ($order !== null) {
                $order->fill(['state' => in_array($one->textOrNull('state'), ['accepted', 'done'], true) ? OrderState::Done : OrderState::Refused, 'answer' => $one->text('text')])->save();
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
    private function handover(Account $account, Row $message): ?Order
    {
        if (! in_array($message->textOrNull('state'), ['accepted', 'refused', 'lapsed'], true)) {
            return null;
        }
        $order = $this->open($account, $message)->where('kind', OrderKind::HandOver)->first();

        return $order !== null && ($order->terms['number'] ?? null) === $message->textOrNull('receiver') ? $order : null;
    }

    /** What was put off and is decided, known by the id that it was told with. */
    private function putOff(Account $account, Row $message): ?Order
    {
        return $this->open($account, $message)->where('transaction', $message->textOrNull('transaction'))->first();
    }

    /** @return Builder<Order> */
    private function open(Account $account, Row $message): Builder
    {
        return Order::query()->where('name_id', $message->int('name_id'))->where('account_id', $account->id)->whereIn('state', [OrderState::Sent, OrderState::Pending])->lockForUpdate();
    }

    /** @param  list<int>  $ids */
    private static function list(array $ids): string
    {
        return '{'.implode(',', $ids).'}';
    }
}
