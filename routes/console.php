<?php

declare(strict_types=1);

use App\Actions\Standings\MakeStandings;
use Illuminate\Support\Facades\Schedule;

// Standings whose time has come; whatever changes a fact makes its own at once.
Schedule::call(fn (MakeStandings $standings) => $standings->due())->everyMinute()->name('standings')->withoutOverlapping();
