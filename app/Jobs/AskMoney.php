<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Money\AskBalance;
use App\Actions\Money\AskEntries;
use App\Actions\Orders\ReceiveMessages;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;

/** Somebody wants to know now what an account holds, and what was charged. */
final class AskMoney implements ShouldBeUnique, ShouldQueue
{
    use Dispatchable;
    use Queueable;

    public int $tries = 1;

    public int $timeout = 120;

    public int $uniqueFor = 60;

    public function __construct(public readonly int $accountId)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->accountId;
    }

    public function handle(ReceiveMessages $take, AskEntries $entries, AskBalance $ask): void
    {
        $take->handle($this->accountId);
        $entries->handle($this->accountId, isWanted: true);
        $ask->handle($this->accountId, isWanted: true);
    }
}
