<?php

declare(strict_types=1);

namespace App\Actions\Money;

use App\Models\Account;
use App\Models\Credit;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Records money that pays only for some things, and that it no longer counts. */
final readonly class KeepCredit
{
    public function __construct(
        private Connection $database,
        private KeepShortages $shortages,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    /** @param  array<string, mixed>  $credit  its columns, but for those that say by whom and when */
    public function enter(User $user, Account $account, array $credit): void
    {
        $this->database->transaction(function () use ($user, $account, $credit): void {
            $made = Credit::query()->create([
                'account_id' => $account->id,
                'said_on' => $this->clock->now(),
                'said_by' => $user->id,
            ] + $credit);
            $this->changed($user, $made, 'credit_kept');
        });
    }

    /** Somebody else may have withdrawn it meanwhile: then nothing is left to do. */
    public function withdraw(User $user, Credit $credit): void
    {
        $this->database->transaction(function () use ($user, $credit): void {
            $locked = Credit::query()->lockForUpdate()->findOrFail($credit->id);
            if ($locked->withdrawn_on === null) {
                $locked->update(['withdrawn_on' => $this->clock->now(), 'withdrawn_by' => $user->id]);
                $this->changed($user, $locked, 'credit_withdrawn');
            }
        });
    }

    private function changed(User $user, Credit $credit, string $event): void
    {
        $this->shortages->of($credit->account_id);
        $this->log->write($event, 'account', $credit->account_id, ['sum' => $credit->sum()->text()], $user->id);
    }
}
