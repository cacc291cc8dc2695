<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Standings\MakeStandings;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** What somebody changed of very many names shows within seconds, and not with the scheduler's next minute. */
final class MakeStandingsSoon implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 600;

    /** Seconds after which another may be sent although this one was lost before it began. */
    public int $uniqueFor = 600;

    public function handle(MakeStandings $standings): void
    {
        $standings->due();
    }
}
