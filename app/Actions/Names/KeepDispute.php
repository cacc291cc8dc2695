<?php

declare(strict_types=1);

namespace App\Actions\Names;

use Acre\Core\Time\Instant;
use Acre\Core\Transfer\Dispute;
use App\Models\Name;
use App\Models\NameDispute;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** What is disputed about a name is recorded, and that it has ended. */
final readonly class KeepDispute
{
    public function __construct(private Connection $database, private TradeClock $clock, private HouseLog $log)
    {
    }

    /**
     * One of a kind at a time: what was recorded of it before is corrected.
     *
     * @param  Instant|null  $since  null: today
     */
    public function handle(User $user, Name $name, Dispute $kind, ?Instant $since, ?string $remarks): void
    {
        $this->database->transaction(function () use ($user, $name, $kind, $since, $remarks): void {
            Name::query()->whereKey($name->id)->lockForUpdate()->firstOrFail();
            NameDispute::query()->updateOrCreate(
                ['name_id' => $name->id, 'kind' => $kind, 'ended_on' => null],
                ['since' => $since ?? $this->clock->today(), 'remarks' => $remarks],
            );
            $this->log->write('dispute_kept', 'name', $name->id, ['kind' => $kind->value], $user->id);
        });
    }

    public function end(User $user, Name $name, Dispute $kind): void
    {
        $this->database->transaction(function () use ($user, $name, $kind): void {
            Name::query()->whereKey($name->id)->lockForUpdate()->firstOrFail();
            $open = NameDispute::query()->where('name_id', $name->id)->where('kind', $kind)->whereNull('ended_on')->first();
            if ($open !== null) {
                $open->update(['ended_on' => $this->clock->now()]);
                $this->log->write('dispute_ended', 'name', $name->id, ['kind' => $kind->value], $user->id);
            }
        });
    }
}
