<?php

declare(strict_types=1);

namespace Acre\Core\Transfer;

use Acre\Core\Rulebook\MovesBy;
use Acre\Core\Time\Instant;

/**
 * When a transfer that begins now is over. By code the losing side has five calendar days to answer (ICANN Transfer Policy); five to seven
 * pass as a rule, nine at worst, and minutes where it approves (common practice). A tag is set within the day (common practice).
 */
final readonly class Arrival
{
    private function __construct(public Instant $earliest, public Instant $likely, public Instant $latest)
    {
    }

    /** @param  bool  $isApproved  whether the losing side will approve at once, as it is ours */
    public static function of(MovesBy $by, bool $isApproved, Instant $now): self
    {
        return match (true) {
            $by === MovesBy::Tag => new self($now, $now, $now->plusDays(1)),
            $isApproved => new self($now, $now, $now->plusDays(9)),
            default => new self($now, $now->plusDays(7), $now->plusDays(9)),
        };
    }
}
