<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Outside\World;
use App\Providers\OutsideServiceProvider;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Mail;

/** A test that talks to the simulated world over its sockets. */
trait Worldly
{
    private static int $trials = 1;

    private World $world;

    /**
     * A name as the world's document has it: at Skerry, held for years to come.
     *
     * @param  list<string>  $servers
     * @param  array<string, mixed>  $otherwise
     * @return array<string, mixed>
     */
    private static function atRegistry(string $ascii, array $servers, array $otherwise = []): array
    {
        return $otherwise + [
            'name' => $ascii,
            'registrar' => 'skerry',
            'created' => Instant::of('2020-11-02')->epoch,
            'ends' => Instant::of('2099-11-02')->epoch,
            'updated' => 0,
            'statuses' => [],
            'servers' => $servers,
            'shown' => [],
            'holder' => ['handle' => 'W-1', 'organisation' => 'Wickerby Bell Foundry'],
            'autoRenew' => true,
            'due' => Instant::of('2099-01-01')->epoch,
        ];
    }

    private function world(): World
    {
        $this->app->forgetInstance(World::class);
        $this->app->register(OutsideServiceProvider::class, true);
        Cache::flush();
        // A silence is to be short.
        config(['mail.mailers.listed.transport' => 'listed', 'mail.mailers.listed.seconds' => 1.0, 'outside.answer' => 2]);
        Mail::purge('listed');

        return $this->world = $this->app->make(World::class);
    }
}
