<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Post\SendLetters;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Sends what was written. It may run twice; what is to be sent stands in the letters. */
final class SendPost implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 600;

    public int $uniqueFor = 60;

    public function handle(SendLetters $send): void
    {
        $send->handle();
    }
}
