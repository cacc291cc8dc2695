<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Note;
use App\Models\Right;
use App\Models\User;

final class NotePolicy
{
    public function view(User $user, Note $note): bool
    {
        return $user->role->may(Right::Look);
    }

    public function delete(User $user, Note $note): bool
    {
        return $user->role->may(Right::Run) || ($note->user_id === $user->id && $user->role->may(Right::Prepare));
    }
}
