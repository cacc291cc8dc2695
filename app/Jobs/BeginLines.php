<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Deeds\BeginDocketLines;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Begins a settled docket's waiting lines. It carries the id alone and may run twice: the docket is the truth. */
final class BeginLines implements ShouldQueue
{
    use Queueable;

    public int $tries = 5;

    public int $timeout = 900;

    public int $backoff = 2;

    public function __construct(public readonly int $docketId)
    {
    }

    public function handle(BeginDocketLines $begin): void
    {
        $begin->handle($this->docketId);
    }
}
