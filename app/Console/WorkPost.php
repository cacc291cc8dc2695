<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Handover\ResumeAccepted;
use App\Actions\Post\CollectReturned;
use App\Actions\Post\SendLetters;
use App\Actions\Registrants\ResumeConfirmed;
use Illuminate\Console\Command;

/**
 * Does here and now what the post's jobs would: letters go out, what came back is noted, what receivers accepted and registrants agreed to
 * goes on.
 */
final class WorkPost extends Command
{
    protected $signature = 'acre:work-post';

    protected $description = 'Send letters, fetch returned ones, and resume what receivers and registrants have agreed to';

    public function handle(SendLetters $send, CollectReturned $returned, ResumeAccepted $accepted, ResumeConfirmed $confirmed): int
    {
        $send->handle();
        $returned->handle();
        $accepted->sweep();
        $confirmed->sweep();

        return self::SUCCESS;
    }
}
