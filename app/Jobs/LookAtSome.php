<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Outside\LookAtServers;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Asks the name servers of names that somebody wants to see now. It may run twice. */
final class LookAtSome implements ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 300;

    /** @param  list<int>  $nameIds */
    public function __construct(public readonly array $nameIds)
    {
    }

    public function handle(LookAtServers $look): void
    {
        $look->of($this->nameIds);
    }
}
