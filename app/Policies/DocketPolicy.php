<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Docket;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\Right;
use App\Models\User;
use App\Support\HouseSettings;

final readonly class DocketPolicy
{
    public function __construct(private HouseSettings $house)
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

    /** Whether it is over so many names that somebody else than who prepared it must settle it. */
    public function needsOtherEyes(User $user, Docket $docket): bool
    {
        $limit = $this->house->fourEyes();

        return $limit !== null && $docket->prepared_by === $user->id && $docket->lines()->where('state', LineState::Prepared)->count() > $limit;
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
