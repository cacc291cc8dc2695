<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Name;
use App\Models\Right;
use App\Models\User;

/** Asked of every name of a selection, not of the selection alone. */
final class NamePolicy
{
    public function view(User $user, Name $name): bool
    {
        return $user->role->may(Right::Look);
    }

    public function change(User $user, Name $name): bool
    {
        return $user->role->may(Right::Prepare);
    }
}
