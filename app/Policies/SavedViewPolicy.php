<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Right;
use App\Models\SavedView;
use App\Models\User;

final class SavedViewPolicy
{
    public function delete(User $user, SavedView $view): bool
    {
        return $view->user_id === $user->id || ($view->shared && $user->role->may(Right::Run));
    }
}
