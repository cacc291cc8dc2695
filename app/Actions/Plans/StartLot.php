<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use Acre\Core\Movement\Readiness;
use App\Actions\Deeds\DeedError;
use App\Actions\Deeds\Deeds;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Transfer\TransferNames;
use App\Models\Docket;
use App\Models\Migration;
use App\Models\PlanState;
use App\Models\User;
use App\Queries\Names\CaseFiles;
use App\Queries\Plans\ReadPlan;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Contracts\Auth\Access\Gate;
use Illuminate\Database\Connection;
use Illuminate\Support\Str;

/** The names of a migration whose day has come go, once a Steward says so: one docket, prepared by whoever planned it. What can't go today
 * stays in the plan. */
final readonly class StartLot
{
    public function __construct(
        private Connection $database,
        private ReadPlan $plans,
        private CaseFiles $files,
        private Deeds $deeds,
        private PrepareDocket $prepare,
        private SettleDocket $settle,
        private TradeClock $clock,
        private HouseLog $log,
        private Gate $gate,
    ) {
    }

    /** @throws DeedError when none can go */
    public function handle(User $user, Migration $migration): Docket
    {
        $docket = $this->database->transaction(function () use ($user, $migration): Docket {
            $locked = Migration::query()->lockForUpdate()->findOrFail($migration->id);
            $due = $locked->state === PlanState::Running ? $this->plans->due($locked->id, $this->clock->today()) : [];
            $clear = $this->clear($locked, $due);
            if ($clear === []) {
                throw DeedError::nothingCanGo();
            }
            $terms = PlanTerms::unpack($locked->terms)->transfer->pack();
            $docket = $this->prepare->handle($locked->maker, (string) Str::uuid(), TransferNames::key(), $clear, $terms, $clear);
            $this->database
                ->table('plan_names')
                ->where('plan_id', $locked->id)
                ->whereIn('name_id', $clear)
                ->update(['docket_id' => $docket->id]);
            $this->log->write('lot_started', 'plan', $locked->id, ['docket' => $docket->id, 'names' => count($clear)], $user->id);

            return $docket;
        });
        // Who planned so many may need somebody else's yes: then it waits for that.
        if ($this->gate->forUser($user)->allows('settle', $docket)) {
            $this->settle->handle($user, $docket);
        }

        return $docket;
    }

    /**
     * @param  list<int>  $due
     * @return list<int> those that can go now
     */
    private function clear(Migration $migration, array $due): array
    {
        $now = $this->clock->now();
        $judged = Deeds::judgeAll(
            $this->deeds->named(TransferNames::key()),
            $this->files->held($due, $now),
            PlanTerms::unpack($migration->terms)->transfer->pack(),
            $now,
        );

        return array_keys(array_filter($judged, fn (Readiness $readiness): bool => $readiness->isClear()));
    }
}
