<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Outside\LookAtMailboxes;
use App\Actions\Outside\Observe;
use App\Actions\Outside\TakeDue;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Looks at mailboxes and names whose turn it is, for most of a minute; the scheduler sends the next. One at a time, so that other work finds a worker. */
final class LookOutside implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    private const SECONDS = 45;

    private const AT_ONCE = 50;

    public int $tries = 1;

    /** Seconds after which another may be sent although this one never said that it ended. */
    public int $uniqueFor = 180;

    public function handle(TakeDue $take, Observe $observe, LookAtMailboxes $mailboxes): void
    {
        $mailboxes->some(self::AT_ONCE);
        $until = time() + self::SECONDS;
        do {
            $names = $take->handle(self::AT_ONCE);
        } while ($names !== [] && $observe->of($names) && time() < $until);
    }
}
