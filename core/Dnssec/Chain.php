<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

use Acre\Core\Time\Instant;

/** The proof from a parent's DS to a zone's records, as it stands at one instant (RFC 4035 §5). */
final readonly class Chain
{
    private function __construct(
        public ChainState $state,
        public ?ChainFault $fault = null,
        /** Why the first signature that should hold does not. */
        public ?SignatureFault $signature = null,
        /** The first instant at which a signature that is needed lapses, if nobody signs anew. */
        public ?Instant $until = null,
    ) {
    }

    /** Days before the first signature that is needed lapses, in which somebody should look: zones are commonly signed anew earlier. */
    private const SOON = 2;

    /** As it was judged once. */
    public static function kept(ChainState $state, ?ChainFault $fault, ?SignatureFault $signature, ?Instant $until): self
    {
        return new self($state, $fault, $signature, $until);
    }

    public function lapsesSoon(Instant $now): bool
    {
        return $this->state === ChainState::Whole && $this->until !== null && ! $this->until->isAfter($now->plusDays(self::SOON));
    }

    /**
     * @param  string  $zone  wire form, small letters
     * @param  list<Delegate>|null  $delegates  DS records of the parent; null: it was not reached
     * @param  list<Key>|null  $keys  null: the zone was not reached
     * @param  SignedSet  $keySet  the same keys as records
     * @param  list<SignedSet>  $others  what else was read of the zone
     */
    public static function judge(
        string $zone,
        ?array $delegates,
        ?array $keys,
        SignedSet $keySet,
        array $others,
        Instant $now,
    ): self {
        if ($delegates === null || $keys === null) {
            return new self(ChainState::NotKnown);
        }
        if ($delegates === []) {
            return new self($keys === [] ? ChainState::Unsigned : ChainState::NoDelegate);
        }
        $known = array_filter($delegates, fn (Delegate $delegate): bool => $delegate->isKnown());
        if ($known === []) {
            return new self(ChainState::Unreadable);
        }
        $named = array_values(array_filter($keys, fn (Key $key): bool => self::isNamed($zone, $key, $known)));
        if ($named === []) {
            return new self(ChainState::Dark, $keys === [] ? ChainFault::NoKeys : ChainFault::NoKeyOfDelegate);
        }
        $until = $keySet->check($zone, $named, $now);
        if ($until instanceof SignatureFault) {
            return new self(ChainState::Dark, ChainFault::KeysNotSigned, $until);
        }
        foreach ($others as $other) {
            $one = $other->check($zone, $keys, $now);
            if ($one instanceof SignatureFault) {
                return new self(ChainState::Dark, ChainFault::RecordsNotSigned, $one);
            }
            $until = $one->epoch < $until->epoch ? $one : $until;
        }

        return new self(ChainState::Whole, until: $until);
    }

    /** @param  array<Delegate>  $delegates */
    private static function isNamed(string $zone, Key $key, array $delegates): bool
    {
        foreach ($delegates as $delegate) {
            if ($delegate->names($zone, $key)) {
                return true;
            }
        }

        return false;
    }
}
