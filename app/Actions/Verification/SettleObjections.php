<?php

declare(strict_types=1);

namespace App\Actions\Verification;

use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** What a registrant said was wrong has been put right. */
final readonly class SettleObjections
{
    public function __construct(private Connection $database, private TradeClock $clock, private HouseLog $log)
    {
    }

    public function handle(User $user, int $mailboxId): void
    {
        $this->database->transaction(function () use ($user, $mailboxId): void {
            $settled = $this->database->update(
                'UPDATE objections SET settled_on = ?::timestamptz, settled_by = ? WHERE mailbox_id = ? AND settled_on IS NULL',
                [$this->clock->now()->isoSecond(), $user->id, $mailboxId],
            );
            if ($settled > 0) {
                $this->log->write('objection_settled', 'mailbox', $mailboxId, [], $user->id);
            }
        });
    }
}
