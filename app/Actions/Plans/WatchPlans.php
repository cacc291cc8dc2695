<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Migration;
use App\Models\PlanState;
use App\Models\User;
use App\Queries\Plans\ReadPlan;
use App\Support\HouseLog;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;

/** Stops a migration whose pilot, or too many of whose names, have failed; ends one that has nothing left to do; lets one go on. */
final readonly class WatchPlans
{
    public function __construct(
        private Connection $database,
        private ReadPlan $plans,
        private TradeClock $clock,
        private Words $words,
        private HouseLog $log,
    ) {
    }

    /** Each that runs. */
    public function handle(): void
    {
        foreach (Migration::query()->where('state', PlanState::Running)->orderBy('id')->pluck('id') as $id) {
            if (is_int($id)) {
                $this->database->transaction(fn () => $this->one($id));
            }
        }
    }

    /** Somebody has looked at what failed. */
    public function goOn(User $user, Migration $migration): void
    {
        $this->database->transaction(function () use ($user, $migration): void {
            // What has failed is known; only what fails from now on counts.
            $this->database
                ->table('plan_names')
                ->where('plan_id', $migration->id)
                ->whereIn('name_id', $this->plans->failed($migration->id))
                ->update(['docket_id' => null, 'day' => null, 'why' => 'failed', 'is_pilot' => false]);
            $this->set($user, $migration, PlanState::Stopped, ['state' => PlanState::Running, 'stopped_because' => null], 'plan_goes_on');
        });
    }

    /** What has not begun stays where it is; what is on its way goes on. */
    public function callOff(User $user, Migration $migration): void
    {
        foreach ([PlanState::Running, PlanState::Stopped] as $from) {
            $this->set(
                $user,
                $migration,
                $from,
                ['state' => PlanState::CalledOff, 'stopped_because' => null, 'ended_on' => $this->clock->now()],
                'plan_called_off',
            );
        }
    }

    /** @param  array<string, mixed>  $to */
    private function set(User $user, Migration $migration, PlanState $from, array $to, string $event): void
    {
        $this->database->transaction(function () use ($user, $migration, $from, $to, $event): void {
            $locked = Migration::query()->lockForUpdate()->findOrFail($migration->id);
            if ($locked->state === $from) {
                $locked->update($to);
                $this->log->write($event, 'plan', $locked->id, [], $user->id);
            }
        });
    }

    private function one(int $id): void
    {
        $migration = Migration::query()->lockForUpdate()->findOrFail($id);
        $progress = $this->plans->progress($id);
        $stopAt = PlanTerms::unpack($migration->terms)->stopAt;
        $because = match (true) {
            $migration->state !== PlanState::Running => null,
            $progress->pilotFailed > 0 => $this->words->count('plans.pilot_failed', $progress->pilotFailed),
            $progress->failed * 100 > $stopAt * ($progress->done + $progress->failed) && $progress->failed > 0 => $this->words->say(
                'plans.too_many_failed',
                ['failed' => (string) $progress->failed, 'of' => (string) ($progress->done + $progress->failed)],
            ),
            default => null,
        };
        if ($because !== null) {
            $migration->update(['state' => PlanState::Stopped, 'stopped_because' => $because]);
            $this->log->write('plan_stopped', 'plan', $id, []);
        } elseif ($migration->state === PlanState::Running && $progress->left + $progress->moving === 0) {
            $migration->update(['state' => PlanState::Ended, 'ended_on' => $this->clock->now()]);
            $this->log->write('plan_ended', 'plan', $id, ['done' => $progress->done, 'failed' => $progress->failed]);
        }
    }
}
