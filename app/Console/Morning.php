<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Rounds\WriteMorningLetters;
use Illuminate\Console\Command;

final class Morning extends Command
{
    protected $signature = 'acre:morning';

    protected $description = 'Write the day’s Rounds to everybody who wants them as a letter';

    public function handle(WriteMorningLetters $letters): int
    {
        $this->line(number_format($letters->handle()).' written.');

        return self::SUCCESS;
    }
}
