<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Outside\Observe;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Asks about the names that somebody wants to see now. It may run twice. */
final class AskOutside implements ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 300;

    /** @param  list<int>  $nameIds */
    public function __construct(public readonly array $nameIds)
    {
    }

    public function handle(Observe $observe): void
    {
        $observe->of($this->nameIds);
    }
}
