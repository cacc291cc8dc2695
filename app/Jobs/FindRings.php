<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Contacts\FindRings as FindRingsAction;
use App\Actions\Contacts\KeepLikenesses;
use App\Actions\Contacts\KeepMailboxes;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Looks for names that guard each other, after mailboxes have changed. It may run twice. */
final class FindRings implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 600;

    /** Seconds after which another may be sent although this one was lost before it began. */
    public int $uniqueFor = 600;

    public function handle(KeepMailboxes $mailboxes, FindRingsAction $find, KeepLikenesses $likenesses): void
    {
        $mailboxes->place();
        $find->handle();
        $likenesses->all();
    }
}
