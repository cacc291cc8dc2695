<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Time\Instant;

/**
 * When the last old answer has died after a change of name servers. A resolver may keep the list of servers for the longer of the
 * parent's and the zone's TTL (RFC 1035 §3.2.1, RFC 2181 §5.4.1), and at the end of that still ask an old server, whose answer it keeps
 * for that record's own.
 */
final readonly class Propagation
{
    /** Seconds to which TTLs are lowered before a change: common practice. */
    public const LOW = 300;

    /** Seconds for which a record may be kept where nobody read its TTL: common practice. */
    public const USUAL = 3_600;

    /** Seconds of a parent's NS where they were not read: the longest in use, from memory. */
    private const LONGEST = 172_800;

    private function __construct(public Instant $from, public Instant $serversUntil, public Instant $answersUntil)
    {
    }

    /**
     * @param  int|null  $parent  seconds of the parent's NS; null: not known, and taken as two days, which is the longest in use
     * @param  int|null  $zone  seconds of the zone's own NS
     * @param  int  $record  seconds of the record that is kept longest, or for which its absence is kept (RFC 2308 §5)
     */
    public static function of(?int $parent, ?int $zone, int $record, Instant $from): self
    {
        $servers = $from->plusSeconds(max($parent ?? self::LONGEST, $zone ?? 0));

        return new self($from, $servers, $servers->plusSeconds($record));
    }

    /** The same, where the zone's own TTLs were lowered and that was waited for: the parent's nobody lowers. */
    public static function lowered(?int $parent, ?int $zone, int $record, Instant $from): self
    {
        return self::of($parent, min($zone ?? self::LOW, self::LOW), min($record, self::LOW), $from);
    }
}
