<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

use Acre\Core\Delegation\Propagation;
use Acre\Core\Time\Instant;

/** How long old answers live after a change of name servers, made now or after its TTLs were lowered. Places in per cent. */
final readonly class Waits
{
    private const MOST_TICKS = 5;

    /** @param  list<Tick>  $ticks  midnights */
    private function __construct(public float $now, public float $lowered, public array $ticks)
    {
    }

    public static function of(Propagation $now, Propagation $lowered): self
    {
        $whole = max(1, $now->answersUntil->epoch - $now->from->epoch);
        // A tenth is left for what stands behind the end.
        $at = fn (Instant $instant): float => round(90 * max(0, $instant->epoch - $now->from->epoch) / $whole, 2);
        $days = intdiv($whole, 86_400) + 1;
        $step = max(1, (int) ceil($days / self::MOST_TICKS));
        $ticks = [];
        for ($day = $now->from->toDay()->plusDays(1); $at($day) < 97; $day = $day->plusDays($step)) {
            $ticks[] = new Tick($at($day), gmdate('D j M', $day->epoch), false);
        }

        return new self($at($now->answersUntil), $at($lowered->answersUntil), $ticks);
    }
}
