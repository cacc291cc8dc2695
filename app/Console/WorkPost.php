<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Handover\GoOnAccepted;
use App\Actions\Post\SendLetters;
use App\Actions\Post\TakeReturned;
use Illuminate\Console\Command;

/** Does here and now what the post's jobs would: letters go out, what came back is noted, what receivers accepted goes on. */
final class WorkPost extends Command
{
    protected $signature = 'acre:work-post';

    protected $description = 'Send letters, take what came back, and let go on what receivers have accepted';

    public function handle(SendLetters $send, TakeReturned $returned, GoOnAccepted $goOn): int
    {
        $send->handle();
        $returned->handle();
        $goOn->sweep();

        return self::SUCCESS;
    }
}
