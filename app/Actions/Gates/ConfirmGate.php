<?php

declare(strict_types=1);

namespace App\Actions\Gates;

use App\Jobs\WorkGate;
use App\Models\Account;
use App\Models\User;
use App\Outside\Registrar\GatePin;
use App\Support\HouseLog;
use Illuminate\Database\Connection;

/**
 * Somebody who may use an account's password says that it is meant for the gate that its registrar has now; what waited for that goes on.
 */
final readonly class ConfirmGate
{
    public function __construct(private Connection $database, private HouseLog $log)
    {
    }

    /** @return bool false: the gate is another than the one that was shown */
    public function handle(User $user, Account $account, string $shown): bool
    {
        return $this->database->transaction(function () use ($user, $account, $shown): bool {
            $locked = Account::query()
                ->with(['registrar' => fn ($registrar) => $registrar->lockForUpdate()])
                ->lockForUpdate()
                ->findOrFail($account->id);
            $pin = GatePin::of($locked->registrar);
            if ($shown !== $pin || $locked->gate_secret_id === null) {
                return false;
            }
            $locked->update(['gate_for' => $pin]);
            $this->log->write('gate_confirmed', 'account', $locked->id, ['gate' => $pin], $user->id);
            $this->database->afterCommit(fn () => WorkGate::dispatch($locked->id));

            return true;
        });
    }
}
