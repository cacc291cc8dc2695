<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Docket;
use App\Models\DocketState;
use App\Models\Right;
use App\Models\User;

final class DocketPolicy
{
    public function view(User $user, Docket $docket): bool
    {
        return $user->role->may(Right::Look);
    }

    public function settle(User $user, Docket $docket): bool
    {
        return $user->role->may(Right::Settle) && $docket->state === DocketState::Prepared;
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
