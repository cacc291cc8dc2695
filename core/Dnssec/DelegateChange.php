<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Time\Instant;

/** DNSSEC turned on or off at the registry: what its DS records are to be, and whether the name survives it. */
final readonly class DelegateChange
{
    /** Seconds for which what servers said is believed; the house's own choice. */
    public const FRESH = 3_600;

    /**
     * @param  bool  $isMoving  whether its name servers are being changed, and the registry does not show it yet
     * @param  Instant|null  $oldUntil  until when answers of the name servers before may be kept; null: it had no others
     */
    public function __construct(
        private bool $isOn,
        private ?KeysSeen $seen,
        private Instant $now,
        private bool $isMoving = false,
        private ?Instant $oldUntil = null,
    ) {
    }

    public function isAsked(): bool
    {
        return $this->seen?->delegates !== null && ! $this->seen->at->plusSeconds(self::FRESH)->isBefore($this->now);
    }

    /** @return list<string> DS as they are written, in order */
    public function target(): array
    {
        $target = $this->isOn && $this->seen !== null ? array_map(strval(...), $this->seen->target()) : [];
        sort($target);

        return $target;
    }

    /** Whether the registry has exactly these, as far as is known. */
    public function isSo(): bool
    {
        $there = array_map(strval(...), $this->seen->delegates ?? []);
        sort($there);

        return $this->isAsked() && $there === $this->target() && ($this->isOn ? $there !== [] : true);
    }

    /** @return list<Finding> dearest first */
    public function findings(): array
    {
        if ($this->seen === null || ! $this->isAsked()) {
            return [Finding::of(DnssecFinding::NotAsked, Effect::NotKnown)];
        }

        return Finding::dearestFirst($this->isOn ? $this->on($this->seen) : $this->off($this->seen));
    }

    /** @return list<Finding> */
    private function on(KeysSeen $seen): array
    {
        $prospect = $seen->prospect;

        return match (true) {
            $seen->keys === null => [Finding::of(DnssecFinding::NotAsked, Effect::NotKnown)],
            $seen->keys === [] => [Finding::of(DnssecFinding::NotSigned, Effect::Stops)],
            $seen->wantsNone() => [Finding::of(DnssecFinding::WantsNone, Effect::Stops)],
            $prospect === null => [Finding::of(DnssecFinding::NotAsked, Effect::NotKnown)],
            $prospect->state !== ChainState::Whole => [
                Finding::of(
                    DnssecFinding::WouldBreak,
                    Effect::Stops,
                    null,
                    fault: $prospect->signature->value ?? $prospect->fault->value ?? ChainFault::NoKeyOfDelegate->value,
                ),
            ],
            $this->isMoving => [Finding::of(DnssecFinding::Changing, Effect::NotKnown)],
            $this->oldUntil !== null && ! $this->oldUntil->hasComeAt($this->now) => [
                Finding::of(DnssecFinding::OldAnswers, Effect::Delays, $this->oldUntil, until: $this->oldUntil),
            ],
            default => [],
        };
    }

    /** @return list<Finding> */
    private function off(KeysSeen $seen): array
    {
        $until = $this->now->plusSeconds($seen->ttl ?? DelegatesBefore::LONGEST);

        return $seen->keys === [] || $seen->keys === null
            ? []
            : [Finding::of(DnssecFinding::KeepSigning, Effect::Worth, null, until: $until)];
    }
}
