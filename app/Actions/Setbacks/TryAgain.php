<?php

declare(strict_types=1);

namespace App\Actions\Setbacks;

use App\Models\Setback;
use App\Models\SetbackKind;
use App\Models\User;
use App\Support\HouseLog;
use Illuminate\Database\Connection;

/** Somebody has seen to what was in the way: it need not wait for its next try. What comes round by itself takes it up within seconds. */
final readonly class TryAgain
{
    public function __construct(private Connection $database, private HouseLog $log)
    {
    }

    public function handle(User $user, Setback $setback): void
    {
        $this->database->transaction(function () use ($user, $setback): void {
            $locked = Setback::query()->lockForUpdate()->find($setback->id);
            if ($locked === null) {
                return;
            }
            $this->database->update('UPDATE setbacks SET retry_at = clock_timestamp() WHERE id = ?', [$locked->id]);
            match ($locked->kind) {
                SetbackKind::Order => $this->database->update(
                    "UPDATE orders SET not_before = clock_timestamp() WHERE id = ? AND state IN ('waiting', 'sent')",
                    [$locked->subject_id],
                ),
                SetbackKind::Look => $this->database->update(
                    "UPDATE observing SET due_at = '-infinity' WHERE name_id = ? AND due_at < 'infinity'",
                    [$locked->subject_id],
                ),
                default => null,
            };
            $this->log->write(
                'tried_again',
                'setback',
                $locked->id,
                ['kind' => $locked->kind->value, 'of' => $locked->subject_id],
                $user->id,
            );
        });
    }
}
