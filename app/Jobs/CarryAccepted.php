<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Handover\ResumeAccepted;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Carries the receiver’s word to what waited for it. It may run twice. */
final class CarryAccepted implements ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 600;

    public function __construct(public readonly int $docketId)
    {
    }

    public function handle(ResumeAccepted $goOn): void
    {
        $goOn->handle($this->docketId);
    }
}
