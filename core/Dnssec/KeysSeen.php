<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

use Acre\Core\Time\Instant;
use JsonSerializable;

/** What a zone and its registry said of its keys, at one time. */
final readonly class KeysSeen implements JsonSerializable
{
    /** As a CDS that asks for no DS at all (RFC 8078 §4). */
    private const NONE = '0 0 0 00';

    /**
     * @param  string  $zone  wire form, small letters
     * @param  list<Delegate>|null  $delegates  DS at the registry; null: not known
     * @param  list<Key>|null  $keys  null: not known
     * @param  list<Delegate>  $wanted  CDS: what the zone asks its registry to have (RFC 7344 §3)
     * @param  Chain|null  $prospect  whether its records could be proved from `target()`; null: not known
     * @param  int|null  $ttl  seconds for which a DS may be kept
     */
    public function __construct(
        public string $zone,
        public ?array $delegates,
        public ?array $keys,
        public array $wanted,
        public ?Chain $prospect,
        public ?int $ttl,
        public Instant $at,
    ) {
    }

    /** The same, seen again later. */
    public function seenAt(Instant $at): self
    {
        return new self($this->zone, $this->delegates, $this->keys, $this->wanted, $this->prospect, $this->ttl, $at);
    }

    /** @return array<string, mixed> what else is known of it stands beside: its name, its DS */
    public function jsonSerialize(): array
    {
        return ['keys' => $this->keys, 'wanted' => $this->wanted, 'prospect' => $this->prospect, 'ttl' => $this->ttl, 'at' => $this->at];
    }

    public function wantsNone(): bool
    {
        return array_map(strval(...), $this->wanted) === [self::NONE];
    }

    /**
     * What the registry should have: what the zone asks for, or else a DS of each key that is meant for it.
     *
     * @return list<Delegate>
     */
    public function target(): array
    {
        return $this->wanted !== [] && ! $this->wantsNone() ? $this->wanted : self::of($this->zone, $this->keys ?? []);
    }

    /**
     * @param  list<Key>  $keys
     * @return list<Delegate> by SHA-256, which everybody reads (RFC 8624 §3.3)
     */
    public static function of(string $zone, array $keys): array
    {
        $forZones = array_values(array_filter($keys, fn (Key $key): bool => $key->isForZones()));
        $entries = array_values(array_filter($forZones, fn (Key $key): bool => $key->isEntry()));

        return array_map(fn (Key $key): Delegate => Delegate::of($zone, $key), $entries === [] ? $forZones : $entries);
    }
}
