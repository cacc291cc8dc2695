<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

use Acre\Core\Time\Instant;

/** DS records that the registry no longer has: resolvers may keep them for a while yet, and judge by them (RFC 6781 §4.3.5). */
final readonly class DelegatesBefore
{
    /** Seconds for which a DS may be kept where its TTL was not read: the longest in use, from memory. */
    public const LONGEST = 172_800;

    /**
     * @param  list<Delegate>  $delegates
     * @param  int|null  $ttl  seconds; null: not known
     * @param  Instant  $gone  when they were first seen to be gone, which is never before they went
     */
    public function __construct(public array $delegates, private ?int $ttl, public Instant $gone)
    {
    }

    /** When no resolver has them any more. */
    public function keptUntil(): Instant
    {
        return $this->gone->plusSeconds($this->ttl ?? self::LONGEST);
    }
}
