<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Time\Instant;

/** The shapes of one name's life on an axis. */
final class LifeLine
{
    /**
     * @param  Instant|null  $verifyBy  when its registrant must have shown that the mailbox is theirs
     * @return list<Shape> in the order in which they are drawn
     */
    public static function of(Lifecycle $life, Axis $axis, ?Waiting $waiting = null, ?Instant $verifyBy = null): array
    {
        return [...self::bars($life, $axis), ...self::marks($life, $axis), ...self::below($life, $axis, $waiting, $verifyBy)];
    }

    /** @return list<Shape> */
    private static function bars(Lifecycle $life, Axis $axis): array
    {
        $ends = $life->over();
        $from = $axis->at($life->facts->created ?? $axis->from);
        if ($ends === null) {
            return [
                new Bar(BarKind::Paid, $from, max(0, $axis->at($life->now) - $from)),
                new Tail($axis->at($life->now), 100 - $axis->at($life->now)),
            ];
        }
        $shapes = [];
        $end = $axis->at($ends);
        if ($end > $from) {
            $shapes[] = new Bar(BarKind::Paid, $from, $end - $from);
        }
        $last = $life->event(EventKind::LastAtAll)?->at;
        if ($life->phase->isLate() && $last !== null && $axis->at($last) > $end) {
            $shapes[] = new Bar(BarKind::Late, $end, $axis->at($last) - $end);
        }
        $renewed = $life->since === null && $life->facts->intent === Intent::ByItself ? $life->renewedUntil() : null;
        if ($renewed !== null && $axis->at($renewed) > $end) {
            $shapes[] = new Bar(BarKind::Expected, $end, $axis->at($renewed) - $end);
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private static function marks(Lifecycle $life, Axis $axis): array
    {
        $shapes = [];
        $ends = $life->over();
        if ($ends !== null && $axis->covers($ends)) {
            $shapes[] = new Post($axis->at($ends));
        }
        $charge = $life->event(EventKind::Charge);
        if ($charge !== null && $axis->covers($charge->at)) {
            $shapes[] = new Coin($axis->at($charge->at), $charge->sum?->sign() ?? '¤');
        }
        $ask = $life->coming(EventKind::AskBy);
        if ($ask !== null && $axis->covers($ask->at)) {
            $shapes[] = new Flag($axis->at($ask->at));
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private static function below(Lifecycle $life, Axis $axis, ?Waiting $waiting, ?Instant $verifyBy): array
    {
        $shapes = [];
        foreach ($life->holds as $hold) {
            if (! $hold->until->hasComeAt($life->now) && $axis->at($hold->until) > $axis->at($hold->from)) {
                $shapes[] = new Bracket($axis->at($hold->from), $axis->at($hold->until) - $axis->at($hold->from));
            }
        }
        if ($verifyBy !== null && ! $verifyBy->hasComeAt($life->now) && $axis->covers($verifyBy)) {
            $shapes[] = new Flag($axis->at($verifyBy));
        }
        if ($waiting !== null) {
            $shapes[] = new Arrow($axis->at($life->now));
            if ($axis->covers($waiting->by)) {
                $shapes[] = new Flag($axis->at($waiting->by));
            }
        }

        return $shapes;
    }
}
