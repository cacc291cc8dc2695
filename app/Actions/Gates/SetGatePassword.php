<?php

declare(strict_types=1);

namespace App\Actions\Gates;

use App\Models\Account;
use App\Models\Secret;
use App\Models\User;
use App\Outside\Registrar\GatePin;
use App\Support\HouseLog;
use Illuminate\Database\Connection;
use SensitiveParameter;

/** Keeps, replaces or forgets the password with which an account signs in at its registrar's gate. It is never shown again. */
final readonly class SetGatePassword
{
    public function __construct(private Connection $database, private WithdrawOrders $withdraw, private HouseLog $log)
    {
    }

    /** @param  string|null  $password  null: forget it */
    public function handle(User $user, Account $account, #[SensitiveParameter] ?string $password): void
    {
        $this->database->transaction(function () use ($user, $account, $password): void {
            $locked = Account::query()
                ->with(['registrar' => fn ($registrar) => $registrar->lockForUpdate()])
                ->lockForUpdate()
                ->findOrFail($account->id);
            $before = $locked->gate_secret_id;
            $secret =
                $password === null
                    ? null
                    : Secret::query()->create([
                        'kind' => 'gate_password',
                        'about' => "account {$locked->number} at its gate",
                        'value' => $password,
                    ]);
            $locked->update(['gate_secret_id' => $secret?->id, 'gate_for' => $secret === null ? null : GatePin::of($locked->registrar)]);
            if ($secret === null) {
                $this->withdraw->ofAccount($locked->id, $user->id);
            }
            if ($before !== null) {
                Secret::query()->whereKey($before)->delete();
            }
            $this->log->write($password === null ? 'gate_password_forgotten' : 'gate_password_kept', 'account', $locked->id, [], $user->id);
        });
    }
}
