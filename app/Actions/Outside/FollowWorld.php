<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use App\Outside\World;
use App\Support\TradeClock;

/** The simulated world has the one clock of a demo: moved on its page, the house's follows. It only goes forward. */
final readonly class FollowWorld
{
    /** Seconds that two clocks which were set one after the other may differ by. */
    private const SLACK = 10;

    public function __construct(private World $world, private TradeClock $clock)
    {
    }

    public function handle(): bool
    {
        $this->clock->forget();
        $there = $this->world->now();
        if ($there === null || $there->epoch <= $this->clock->now()->epoch + self::SLACK) {
            return false;
        }
        $this->clock->set($there);

        return true;
    }
}
