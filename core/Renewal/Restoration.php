<?php

declare(strict_types=1);

namespace Acre\Core\Renewal;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Money\Money;
use Acre\Core\Rulebook\Rescue;
use Acre\Core\Time\Instant;

/**
 * One deleted name that is to be taken back while it is in redemption (RFC 3915 §3.1). `$rate` is the price of that; a year that its
 * deletion took back comes with it, as registries commonly do.
 */
final readonly class Restoration extends Sale
{
    public function endAfter(): ?Instant
    {
        $ends = $this->life->facts->ends;

        return $ends?->hasComeAt($this->life->now) === true ? $this->life->renewedByNow() : $ends;
    }

    public function price(): ?Money
    {
        return $this->rate?->gross();
    }

    public function usualPrice(): ?Money
    {
        return $this->price();
    }

    public function fee(): ?Money
    {
        return $this->rate?->net();
    }

    protected function about(): array
    {
        $life = $this->life;
        // It is kept only if its registrar reports in time, and that is its registrar's to do (RFC 3915 §3.1).
        if ($life->facts->has(Status::PendingRestore)) {
            return [Finding::of(RenewalFinding::BeingRestored, Effect::Stops)];
        }
        if ($life->mayBeRenewed()) {
            return [Finding::of(RenewalFinding::MaybeNotDeleted, Effect::NotKnown)];
        }
        if ($life->rescue() !== Rescue::Restore) {
            $isKept = $life->rescue() === Rescue::Renew;

            return [Finding::of($isKept ? RenewalFinding::NotDeleted : RenewalFinding::GoneForGood, Effect::Stops)];
        }
        $findings = $life->presumed ? [Finding::of(RenewalFinding::MaybeNotDeleted, Effect::NotKnown)] : [];
        // Of one that was deleted before its end, on a day that nobody knows, nobody knows the last day either.
        $last = $life->since === null && $life->facts->ends?->isAfter($life->now) === true ? null : $life->last(Rescue::Restore);
        if ($last !== null) {
            $findings[] = Finding::of(RenewalFinding::RestoreBy, Effect::Worth, null, until: $last);
        }
        if ($life->facts->intent === Intent::Lapse && $life->over() !== null) {
            $findings[] = Finding::of(RenewalFinding::MeantToLapse, Effect::Worth, null, ends: $life->over());
        }
        // Told what it may cost at most, a registrar can't ask for a year on top.
        if (! $this->paying->isTold && $life->facts->ends?->hasComeAt($life->now) === true) {
            $findings[] = Finding::of(RenewalFinding::YearOnTop, Effect::Worth, null, registrar: $this->paying->registrar);
        }

        return $findings;
    }
}
