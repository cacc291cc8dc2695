<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use App\Jobs\BeginLines;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** A Steward lets a prepared docket begin; its lines are then begun one by one in the queue. */
final readonly class SettleDocket
{
    public function __construct(private Connection $database, private TradeClock $clock, private HouseLog $log, private Deeds $deeds)
    {
    }

    /** @throws DeedError when it is not waiting for that any more */
    public function handle(User $user, Docket $docket): void
    {
        $this->database->transaction(function () use ($user, $docket): void {
            $locked = Docket::query()->lockForUpdate()->findOrFail($docket->id);
            if ($locked->state !== DocketState::Prepared) {
                throw DeedError::notPrepared();
            }
            $locked->update(['state' => DocketState::Settled, 'settled_by' => $user->id, 'settled_on' => $this->clock->now()]);
            DocketLine::query()
                ->where('docket_id', $docket->id)
                ->where('state', LineState::Prepared)
                ->update(['state' => LineState::Waiting]);
            $this->accept($user, $locked);
            $this->log->write('settled', 'docket', $docket->id, [], $user->id);
            BeginLines::dispatch($docket->id)->afterCommit();
        });
    }

    /** What the deed accepts for the registrants, as it is named today. */
    private function accept(User $user, Docket $docket): void
    {
        $deed = $this->deeds->of($docket);
        if (! $deed instanceof AcceptsAgreements) {
            return;
        }
        foreach ($deed->agreements($docket->terms) as $position => $agreement) {
            $this->database->table('agreements_accepted')->insert([
                'docket_id' => $docket->id,
                'position' => $position,
                ...$agreement,
                'authority' => $deed->authority($docket->terms)->value,
                'accepted_by' => $user->id,
                'accepted_on' => $docket->settled_on?->isoSecond(),
            ]);
        }
    }
}
