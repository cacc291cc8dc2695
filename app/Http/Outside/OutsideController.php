<?php

declare(strict_types=1);

namespace App\Http\Outside;

use App\Outside\World;
use App\Queries\Outside\ReadDrifts;
use App\Queries\Outside\ReadPlan;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\View\View;

/** The way to everything outside, and how looking at it is planned. */
final readonly class OutsideController
{
    public function __construct(
        private ReadPlan $plan,
        private ReadDrifts $drifts,
        private TradeClock $clock,
        private Words $words,
        private World $world,
    ) {
    }

    public function __invoke(): View
    {
        return view('outside.index', [
            'plan' => $this->plan->handle($this->clock->now()),
            'counts' => $this->drifts->counts(),
            'words' => $this->words,
            'now' => $this->clock->now(),
            'world' => $this->world->address(),
            'hosts' => array_keys(config()->array('outside.hosts')),
        ]);
    }
}
