<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use Acre\Core\Planner\Why;
use App\Models\Migration;
use App\Models\PlanState;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Writes a migration down as it is planned today. Nothing moves by that. */
final readonly class SavePlan
{
    public function __construct(
        private Connection $database,
        private MakePlan $make,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    /**
     * A second press of the same button finds the plan that the first one made.
     *
     * @param  list<int>  $nameIds
     */
    public function handle(User $user, string $token, array $nameIds, PlanTerms $terms): Migration
    {
        return $this->database->transaction(function () use ($user, $token, $nameIds, $terms): Migration {
            $this->database->select('SELECT pg_advisory_xact_lock(hashtext(?))', [$token]);
            $before = Migration::query()->where('token', $token)->first();
            if ($before !== null) {
                return $before;
            }
            $made = $this->make->of($nameIds, $terms);
            $migration = Migration::query()->create([
                'token' => $token,
                'account_id' => $terms->transfer->accountId,
                'terms' => $terms->said(),
                'state' => PlanState::Running,
                'made_by' => $user->id,
                'made_on' => $this->clock->now(),
            ]);
            $this->write($migration, $made);
            $this->log->write('plan_made', 'plan', $migration->id, ['names' => $made->placed()], $user->id);

            return $migration;
        });
    }

    /** Those that have not gone yet, anew from what is known today. */
    public function anew(User $user, Migration $migration): void
    {
        $this->database->transaction(function () use ($user, $migration): void {
            if (! Migration::query()->lockForUpdate()->findOrFail($migration->id)->state->isOpen()) {
                return;
            }
            $ids = $this->database
                ->table('plan_names')
                ->where('plan_id', $migration->id)
                ->whereNull('docket_id')
                ->pluck('name_id')
                ->all();
            $terms = PlanTerms::unpack($migration->terms);
            $hasBegun = $this->database->table('plan_names')->where('plan_id', $migration->id)->whereNotNull('docket_id')->exists();
            $made = $this->make->of(array_values(array_filter($ids, is_int(...))), $hasBegun ? $terms->withoutPilot() : $terms);
            $this->database->table('plan_names')->where('plan_id', $migration->id)->whereNull('docket_id')->delete();
            $this->write($migration, $made);
            $this->log->write('plan_anew', 'plan', $migration->id, ['names' => $made->placed()], $user->id);
        });
    }

    private function write(Migration $migration, MadePlan $made): void
    {
        $rows = [];
        foreach ($made->names as $id => $one) {
            $rows[] = [
                'plan_id' => $migration->id,
                'name_id' => $id,
                'day' => $one->placed->day?->date(),
                'why' => $one->placed->why->value,
                'is_late' => $one->placed->isLate,
                'is_pilot' => $one->placed->why === Why::Pilot,
            ];
        }
        foreach ($made->cannot as $one) {
            $rows[] = [
                'plan_id' => $migration->id,
                'name_id' => $one->file->nameId,
                'day' => null,
                'why' => 'stopped',
                'is_late' => false,
                'is_pilot' => false,
            ];
        }
        foreach (array_chunk($rows, 1_000) as $chunk) {
            $this->database->table('plan_names')->insert($chunk);
        }
    }
}
