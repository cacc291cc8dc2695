<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Deeds\EndLines;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Support\TradeClock;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use LogicException;

/** Ends a line that the public record, or its registrar, has shown to be done. It may run twice: what has ended is left as it is. */
final class EndSeenLine implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public function __construct(public readonly int $lineId)
    {
    }

    public function handle(EndLines $end, TradeClock $clock): void
    {
        $line = DocketLine::query()->with('docket.settler')->find($this->lineId);
        if ($line?->state === LineState::Begun) {
            $by = $line->docket->settler ?? throw new LogicException("Docket {$line->docket_id} has begun, and nobody has settled it.");
            $end->done($by, $line->docket, [$line->id], $clock->now());
        }
    }
}
