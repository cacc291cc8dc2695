<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\Right;
use App\Models\User;
use App\Support\HouseSettings;
use App\Support\TradeClock;

final readonly class DocketPolicy
{
    public function __construct(private HouseSettings $house, private TradeClock $clock)
    {
    }

    public function view(User $user, Docket $docket): bool
    {
        return $user->role->may(Right::Look);
    }

    public function settle(User $user, Docket $docket): bool
    {
        return $user->role->may(Right::Settle) && $docket->state === DocketState::Prepared && ! $this->needsOtherEyes($user, $docket);
    }

    /** Whether it is, with what they did today, over so many names that somebody else than who prepared it must settle it. */
    public function needsOtherEyes(User $user, Docket $docket): bool
    {
        $limit = $this->house->fourEyes();

        return $limit !== null &&
            $docket->prepared_by === $user->id &&
            $docket->lines()->where('state', LineState::Prepared)->count() + $this->settledToday($user) > $limit;
    }

    /** Names that they have let begin today of what they prepared themselves: many small dockets are as much as a large one. */
    private function settledToday(User $user): int
    {
        $mine = Docket::query()
            ->where('prepared_by', $user->id)
            ->where('settled_by', $user->id)
            ->where('settled_on', '>=', $this->clock->today()->isoSecond())
            ->select('id');

        return DocketLine::query()
            ->whereIn('docket_id', $mine)
            ->whereNotIn('state', [LineState::Stopped, LineState::Prepared])
            ->count();
    }

    /** Saying what was done at the registrar's page. */
    public function tick(User $user, Docket $docket): bool
    {
        return $user->role->may(Right::Settle) && $docket->state === DocketState::Settled;
    }

    /** Whoever prepared it may take it back as long as nobody has settled it. */
    public function callOff(User $user, Docket $docket): bool
    {
        return match ($docket->state) {
            DocketState::Prepared => $user->role->may(Right::Settle) || $docket->prepared_by === $user->id,
            DocketState::Settled => $user->role->may(Right::Settle),
            DocketState::Closed, DocketState::CalledOff => false,
        };
    }
}
