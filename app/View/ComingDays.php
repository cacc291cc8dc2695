<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Contact\Verification;
use Acre\Core\Finding\Cost;
use Acre\Core\Lifecycle\Event;
use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Time\Instant;

/**
 * The days to come of a name as its folio tells them: what happens if nobody acts, and apart from it what happens only if auto-renew fails,
 * or failed.
 */
final readonly class ComingDays
{
    /**
     * @param  list<array{Instant, string, string}>  $expected  the day, what happens, and what it costs to miss it (empty: nothing)
     * @param  list<array{Instant, string, string}>  $otherwise  the same, only if auto-renew fails
     */
    private function __construct(public array $expected, public array $otherwise)
    {
    }

    public static function of(Lifecycle $life, ?Verification $verification, Words $words): self
    {
        $renews =
            $life->facts->intent === Intent::ByItself && (($life->phase === Phase::InTerm && ! $life->presumed) || $life->mayBeRenewed());
        $expected = $otherwise = [];
        foreach ($life->toCome() as $event) {
            $line = [$event->at, self::says($event, $words), self::missed($event, $words)];
            // An auto-renewal leaves the end and all that follows it to whoever lets it fail.
            if ($renews && ! in_array($event->kind, [EventKind::Charge, EventKind::HoldEnds], true)) {
                $otherwise[] = $line;
            } else {
                $expected[] = $renews ? [$line[0], $line[1], ''] : $line;
            }
        }
        $until = $renews ? $life->renewedByNow() : null;
        if ($renews && $until !== null && $life->facts->ends !== null && ! $life->facts->ends->hasComeAt($life->now)) {
            $expected[] = [$life->facts->ends, $words->say('names.coming.renewed', ['until' => $words->near($until)]), ''];
        }
        if ($verification?->isDue() === true && $verification->by !== null && ! $verification->by->hasComeAt($life->now)) {
            $expected[] = [$verification->by, $words->say('names.coming.verified'), $words->say('words.cost.'.Cost::Dark->name)];
        }
        usort($expected, fn (array $a, array $b): int => $a[0]->epoch <=> $b[0]->epoch);

        return new self($expected, $otherwise);
    }

    private static function says(Event $event, Words $words): string
    {
        $key = "names.coming.{$event->kind->value}";
        $said =
            $event->sum === null
                ? $words->say('words.event.'.$event->kind->value)
                : $words->sayOr($key, $words->say('words.event.'.$event->kind->value).', '.$event->sum->text(), [
                    'sum' => $event->sum->text(),
                ]);

        return $event->certain ? $said : $words->say('names.coming.perhaps', ['what' => $said]);
    }

    private static function missed(Event $event, Words $words): string
    {
        return $event->kind->cost() === Cost::Attention ? '' : $words->say('words.cost.'.$event->kind->cost()->name);
    }
}
