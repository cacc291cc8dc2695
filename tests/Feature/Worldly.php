<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Outside\World;
use App\Providers\OutsideServiceProvider;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Mail;

/** A test that talks to the simulated world over its sockets. */
trait Worldly
{
    private static int $trials = 1;

    private World $world;

    private function world(): World
    {
        $this->app->forgetInstance(World::class);
        $this->app->register(OutsideServiceProvider::class, true);
        Cache::flush();
        // A silence is to be short.
        config(['mail.mailers.listed.seconds' => 1.0, 'outside.answer' => 2]);
        Mail::purge('listed');

        return $this->world = $this->app->make(World::class);
    }
}
