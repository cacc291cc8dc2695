<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

use Acre\Core\Time\Instant;

/** A signature of a set of records (RFC 4034 §3). */
final readonly class Signature
{
    /** Of one tag. Chance makes two; hundreds are made to cost whoever checks them hours (common practice since 2024). */
    private const MOST_KEYS = 4;

    /**
     * @param  int  $until  seconds since 1970, counted round 32 bits (RFC 1982)
     * @param  int  $from  likewise
     * @param  string  $signer  the zone, in wire form and small letters
     * @param  string  $signature  bytes
     */
    public function __construct(
        public int $covered,
        public int $algorithm,
        public int $labels,
        public int $ttl,
        public int $until,
        public int $from,
        public int $tag,
        public string $signer,
        public string $signature,
    ) {
    }

    /**
     * @param  list<Key>  $keys  of the zone
     * @return SignatureFault|null null: it holds
     */
    public function check(RecordSet $set, string $zone, array $keys, Instant $now): ?SignatureFault
    {
        if ($this->covered !== $set->type || $this->labels > $set->labels() || $this->signer !== $zone) {
            return SignatureFault::OfAnother;
        }
        $algorithm = Algorithm::tryFrom($this->algorithm);
        if ($algorithm === null) {
            return SignatureFault::UnknownAlgorithm;
        }
        if (self::isAfter($now->epoch, $this->until)) {
            return SignatureFault::Expired;
        }
        if (self::isAfter($this->from, $now->epoch)) {
            return SignatureFault::NotYet;
        }
        $mine = array_slice(array_filter($keys, $this->isBy(...)), 0, self::MOST_KEYS);
        $bytes = $set->signed($this->head(), $this->labels, $this->ttl);
        foreach ($mine as $key) {
            if ($algorithm->verifies($bytes, $this->signature, $key->key)) {
                return null;
            }
        }

        return $mine === [] ? SignatureFault::NoKey : SignatureFault::DoesNotVerify;
    }

    /** The instant until which it holds, as close to another as 32 bits can say. */
    public function expires(Instant $now): Instant
    {
        $ahead = ($this->until - $now->epoch) & 0xFFFFFFFF;

        return Instant::second($now->epoch + ($ahead < 0x80000000 ? $ahead : $ahead - 0x100000000));
    }

    private function isBy(Key $key): bool
    {
        return $key->isForZones() && $key->algorithm === $this->algorithm && $key->tag() === $this->tag;
    }

    private function head(): string
    {
        return pack(
            'nCCNNNn',
            $this->covered,
            $this->algorithm,
            $this->labels,
            $this->ttl,
            $this->until,
            $this->from,
            $this->tag,
        ).$this->signer;
    }

    /** RFC 1982 §3.2. */
    private static function isAfter(int $one, int $other): bool
    {
        $ahead = ($one - $other) & 0xFFFFFFFF;

        return $ahead > 0 && $ahead < 0x80000000;
    }
}
