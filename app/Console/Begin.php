<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Deeds\BeginDocketLines;
use Illuminate\Console\Command;

/** Begins a settled docket's waiting lines here and now, as its job would. */
final class Begin extends Command
{
    protected $signature = 'acre:begin {docket : its number}';

    protected $description = 'Start the waiting lines of a settled docket';

    public function handle(BeginDocketLines $begin): int
    {
        $docket = $this->argument('docket');
        $begin->handle((int) $docket);

        return self::SUCCESS;
    }
}
