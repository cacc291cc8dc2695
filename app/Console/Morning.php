<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Rounds\WriteMorningLetters;
use Illuminate\Console\Command;

final class Morning extends Command
{
    protected $signature = 'acre:morning';

    protected $description = 'Send today’s Rounds to everybody who asked for them by e-mail';

    public function handle(WriteMorningLetters $letters): int
    {
        $this->line(number_format($letters->handle()).' letters queued.');

        return self::SUCCESS;
    }
}
