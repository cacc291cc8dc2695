<?php

declare(strict_types=1);

namespace App\Actions\Gates;

use App\Jobs\WorkGate;
use App\Models\Account;
use App\Models\DocketLine;
use App\Models\Order;
use App\Models\OrderState;
use App\Outside\Registrar\OrderKind;
use App\Outside\Registrar\Registrars;
use Illuminate\Database\Connection;
use Illuminate\Support\Str;

/** Writes down what a registrar is to be told, in the transaction that wants it; it is told afterwards. */
final class PlaceOrder
{
    /** @var array<int, Account|null> accounts whose registrar takes commands, by id */
    private array $reached = [];

    public function __construct(private readonly Connection $database, private readonly Registrars $registrars)
    {
    }

    /**
     * @param  array<string, string>  $terms
     * @param  bool  $endsLine  whether the line ends with it; false: it is a step before
     * @return bool false: the registrar takes no commands, and a person must act
     */
    public function handle(DocketLine $line, int $accountId, OrderKind $kind, array $terms = [], bool $endsLine = true): bool
    {
        $account = $this->reached[$accountId] ??= $this->account($accountId);
        if ($account === null) {
            return false;
        }
        Order::query()->create([
            'account_id' => $account->id, 'name_id' => $line->name_id, 'docket_line_id' => $line->id, 'kind' => $kind, 'ends_line' => $endsLine, 'terms' => $terms, 'transaction' => self::transaction(), 'state' => OrderState::Waiting,
        ]);
        $this->tellSoon($account->id);

        return true;
    }

    /** What was placed for a line and not told yet is called off; what was told is told to be taken back. */
    public function takeBack(DocketLine $line): void
    {
        foreach (Order::query()->where('docket_line_id', $line->id)->whereIn('state', [OrderState::Waiting, OrderState::Sent, OrderState::Pending])->lockForUpdate()->get() as $order) {
            if ($order->state !== OrderState::Waiting && $order->kind === OrderKind::HandOver) {
                Order::query()->create([
                    'account_id' => $order->account_id, 'name_id' => $order->name_id, 'docket_line_id' => null, 'kind' => OrderKind::CancelHandover, 'terms' => [], 'transaction' => self::transaction(), 'state' => OrderState::Waiting,
                ]);
                $this->tellSoon($order->account_id);
            }
            $order->update(['state' => OrderState::CalledOff]);
        }
    }

    /** After the commit, and not before: a job that is sent once only takes a lock, and one that is taken already would end the transaction. */
    private function tellSoon(int $accountId): void
    {
        $this->database->afterCommit(fn () => WorkGate::dispatch($accountId));
    }

    /** Ours, and nobody's else: RFC 5730 §2.8 asks that it is unique at the client. */
    public static function transaction(): string
    {
        return 'roll-'.strtolower((string) Str::ulid());
    }

    private function account(int $id): ?Account
    {
        $account = Account::query()->with('registrar')->findOrFail($id);

        return $this->registrars->of($account) === null ? null : $account;
    }
}
