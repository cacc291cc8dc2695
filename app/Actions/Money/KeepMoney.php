<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Models\Account;
use App\Models\TopUp;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** What people record of an account’s money: what it holds, and what is to be paid in, and was. */
final readonly class KeepMoney
{
    public function __construct(
        private Connection $database,
        private WriteLedger $ledger,
        private KeepShortages $shortages,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    public function balance(User $user, Account $account, Money $holds): void
    {
        $this->database->transaction(function () use ($user, $account, $holds): void {
            $this->ledger->balance($account->id, $holds, $this->clock->now(), $user->id);
            $this->shortages->of($account->id);
            $this->log->write('balance_kept', 'account', $account->id, ['sum' => $holds->text()], $user->id);
        });
    }

    public function plan(User $user, Account $account, Money $amount, Instant $for): TopUp
    {
        return $this->database->transaction(function () use ($user, $account, $amount, $for): TopUp {
            $topUp = TopUp::query()->create([
                'account_id' => $account->id,
                'planned_for' => $for->date(),
                'amount' => $amount->decimal(),
                'currency' => $amount->currency,
                'planned_by' => $user->id,
                'planned_on' => $this->clock->now(),
                'state' => 'planned',
            ]);
            $this->shortages->of($account->id);
            $this->log->write(
                'top_up_planned',
                'account',
                $account->id,
                ['sum' => $amount->text(), 'day' => $for->date()],
                $user->id,
            );

            return $topUp;
        });
    }

    /**
     * @param  'paid'|'withdrawn'  $how
     * @return bool false: somebody else has ended it meanwhile
     */
    public function end(User $user, TopUp $topUp, string $how): bool
    {
        return $this->database->transaction(function () use ($user, $topUp, $how): bool {
            $locked = TopUp::query()->lockForUpdate()->findOrFail($topUp->id);
            if ($locked->state !== 'planned') {
                return false;
            }
            $now = $this->clock->now();
            $locked->update(['state' => $how, 'ended_on' => $now, 'ended_by' => $user->id]);
            if ($how === 'paid') {
                $this->ledger->entry($locked->account_id, null, 'top_up', $locked->sum(), $now, 'hand', userId: $user->id);
            }
            $this->shortages->of($locked->account_id);
            $this->log->write("top_up_{$how}", 'account', $locked->account_id, ['sum' => $locked->sum()->text()], $user->id);

            return true;
        });
    }
}
