<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\CalendarAddress;
use App\Models\User;

final class CalendarAddressPolicy
{
    public function delete(User $user, CalendarAddress $calendar): bool
    {
        return $calendar->user_id === $user->id;
    }
}
