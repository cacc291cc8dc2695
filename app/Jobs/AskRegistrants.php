<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Registrants\AskToConfirm;
use App\Actions\Standings\MakeStandings;
use App\Actions\Verification\AskToVerify;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/**
 * Writes at once to whoever must verify a mailbox now, once what that follows from is made, and to whoever had agreed to other data. It may
 * run twice.
 */
final class AskRegistrants implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 300;

    /** Seconds after which another may be sent although this one was lost before it began. */
    public int $uniqueFor = 600;

    public function handle(MakeStandings $standings, AskToVerify $ask, AskToConfirm $confirm): void
    {
        $standings->due(batches: 20);
        $ask->due();
        $confirm->anew();
    }
}
