<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Import;
use App\Models\ImportState;
use App\Models\Right;
use App\Models\User;

final class ImportPolicy
{
    public function view(User $user, Import $import): bool
    {
        return $user->role->may(Right::Prepare);
    }

    /** Columns are matched, and the list let be written, once. */
    public function match(User $user, Import $import): bool
    {
        return $this->view($user, $import) && in_array($import->state, [ImportState::Uploaded, ImportState::Read], true);
    }

    public function write(User $user, Import $import): bool
    {
        return $this->view($user, $import) && $import->state === ImportState::Read && ! $this->isGuarded($user, $import);
    }

    /** Whether it changes mailboxes that registrants are asked at, and this person may not. */
    public function isGuarded(User $user, Import $import): bool
    {
        return ! $user->role->may(Right::Settle) && $import->changesMailboxes();
    }

    public function takeBack(User $user, Import $import): bool
    {
        return $this->view($user, $import) && $import->state === ImportState::Done;
    }

    public function discard(User $user, Import $import): bool
    {
        return $this->view($user, $import) && $import->state->isUnwritten();
    }
}
