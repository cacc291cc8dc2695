<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\People\WritePasswordLetter;
use Illuminate\Contracts\Queue\ShouldBeEncrypted;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Somebody said at the door that they forgot their password. Run twice, the second link replaces the first. */
final class WritePasswordLetterLater implements ShouldBeEncrypted, ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 60;

    public function __construct(public readonly string $mailbox)
    {
    }

    public function handle(WritePasswordLetter $letter): void
    {
        $letter->forgotten($this->mailbox);
    }
}
