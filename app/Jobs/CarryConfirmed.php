<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Registrants\ResumeConfirmed;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Carries a side's word to the names that waited for it. It may run twice. */
final class CarryConfirmed implements ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 600;

    public function __construct(public readonly int $confirmationId)
    {
    }

    public function handle(ResumeConfirmed $goOn): void
    {
        $goOn->handle($this->confirmationId);
    }
}
