<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

/** What an OPT record says of its sender (RFC 6891 §6.1). */
final readonly class Edns
{
    /** What passes without being cut up (DNS Flag Day 2020; RFC 9715 §3). */
    public const ROOM = 1232;

    /**
     * @param  int  $room  bytes that the sender takes in one datagram
     * @param  bool  $wantsSignatures  DO (RFC 3225)
     * @param  int  $extendedCode  the upper eight bits of the response code
     */
    public function __construct(
        public int $room = self::ROOM,
        public bool $wantsSignatures = false,
        public int $version = 0,
        public int $extendedCode = 0,
    ) {
    }
}
