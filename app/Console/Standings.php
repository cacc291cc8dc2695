<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Standings\MakeStandings;
use Illuminate\Console\Command;

/** Makes the standings that are due, as the scheduler does; several of it share the work. */
final class Standings extends Command
{
    protected $signature = 'acre:standings';

    protected $description = 'Update the standings that are due';

    public function handle(MakeStandings $standings): int
    {
        $standings->due();

        return self::SUCCESS;
    }
}
