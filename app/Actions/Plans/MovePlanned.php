<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use Acre\Core\Time\Instant;
use App\Actions\Deeds\DeedError;
use App\Models\Migration;
use App\Models\User;
use App\Support\Dates;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** A name of a migration begins on another day, because somebody says so; one that is not safe is refused with the day from which it is. */
final readonly class MovePlanned
{
    public function __construct(
        private Connection $database,
        private MakePlan $make,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    /**
     * @param  Instant|null  $day  null: it is left out
     *
     * @throws DeedError when it can't begin then
     */
    public function handle(User $user, Migration $migration, int $nameId, ?Instant $day): void
    {
        $this->database->transaction(function () use ($user, $migration, $nameId, $day): void {
            if (! Migration::query()->lockForUpdate()->findOrFail($migration->id)->state->isOpen()) {
                throw DeedError::nothingCanGo();
            }
            $isLate = $day !== null && $this->isLate($migration, $nameId, $day);
            $this->database
                ->table('plan_names')
                ->where('plan_id', $migration->id)
                ->where('name_id', $nameId)
                ->whereNull('docket_id')
                ->update(['day' => $day?->date(), 'why' => 'by_hand', 'is_late' => $isLate, 'is_pilot' => false]);
            $this->log->write('plan_moved', 'plan', $migration->id, ['name' => $nameId, 'day' => $day?->date()], $user->id);
        });
    }

    /** @throws DeedError */
    private function isLate(Migration $migration, int $nameId, Instant $day): bool
    {
        $made = $this->make->of([$nameId], PlanTerms::unpack($migration->terms)->withoutPilot());
        $candidate = ($made->names[$nameId] ?? null)?->placed->candidate;
        if ($candidate === null || $day->isBefore($this->clock->today())) {
            throw DeedError::nothingCanGo();
        }
        if ($day->isBefore($candidate->first->toDay())) {
            throw DeedError::notSafeBefore(Dates::full($candidate->first));
        }
        if ($candidate->last !== null && $day->isAfter($candidate->last)) {
            throw DeedError::notSafeAfter(Dates::full($candidate->last));
        }

        return $candidate->sensible !== null && $day->isAfter($candidate->sensible);
    }
}
