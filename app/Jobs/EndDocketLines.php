<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Deeds\EndMany;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Ends the lines of which somebody has said so. It carries the id alone and may run twice. */
final class EndDocketLines implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 900;

    public int $uniqueFor = 60;

    public function __construct(public readonly int $endingId)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->endingId;
    }

    public function handle(EndMany $end): void
    {
        $end->goOn($this->endingId);
    }
}
