<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

/** One of the stretches that follow the end of the paid term. */
final readonly class EndPhase
{
    /**
     * @param  int  $days  its length
     * @param  Darkness  $dark  whether the name answers in DNS during it
     * @param  Rescue  $rescue  how the holder can still keep the name
     * @param  bool  $cut  whether a registrar's own terms may make it shorter
     * @param  bool  $isPlain  whether renewing in it costs at the registry what it cost before
     */
    public function __construct(
        public Phase $phase,
        public int $days,
        public Darkness $dark,
        public Rescue $rescue,
        public bool $cut,
        public bool $isPlain = false,
    ) {
    }
}
