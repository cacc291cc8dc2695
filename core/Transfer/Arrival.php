<?php

declare(strict_types=1);

namespace Acre\Core\Transfer;

use Acre\Core\Rulebook\MovesBy;
use Acre\Core\Time\Instant;

/**
 * When a transfer that begins now is over. By code the losing side has five calendar days to answer (ICANN Transfer Policy); five to seven
 * pass as a rule, nine at worst, and minutes where it approves (common practice). A tag is set within the day (common practice). Where
 * enough of them were seen, that counts instead.
 */
final readonly class Arrival
{
    private function __construct(public Instant $earliest, public Instant $likely, public Instant $latest)
    {
    }

    /**
     * @param  bool  $isApproved  whether the losing side will approve at once, as it is ours
     * @param  ArrivalsSeen|null  $seen  how long others have taken; null: none have
     */
    public static function of(MovesBy $by, bool $isApproved, Instant $now, ?ArrivalsSeen $seen = null): self
    {
        return match (true) {
            $seen?->tells() === true => new self($now, $now->plusDays($seen->median), $now->plusDays(max(1, $seen->median, $seen->ninth))),
            $by === MovesBy::Tag => new self($now, $now, $now->plusDays(1)),
            $isApproved => new self($now, $now, $now->plusDays(9)),
            default => new self($now, $now->plusDays(7), $now->plusDays(9)),
        };
    }
}
