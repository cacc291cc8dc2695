<?php

declare(strict_types=1);

namespace Standin\Dns;

/** That a zone is signed, with what, and how well. */
final readonly class SignedZone
{
    /** Seconds for which signatures are good, from when they are made. */
    public const LASTS = 1_209_600;

    /**
     * @param  string  $origin  A-labels; the root is empty
     * @param  int  $lasts  seconds from now until its signatures lapse; below nought they have
     * @param  list<int>  $garbled  types of records whose signatures are no good
     */
    public function __construct(
        public string $origin,
        public ZoneKey $key,
        public int $lasts = self::LASTS,
        public array $garbled = [],
    ) {
    }
}
