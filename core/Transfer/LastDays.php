<?php

declare(strict_types=1);

namespace Acre\Core\Transfer;

use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Time\Instant;

/** Until when a transfer is begun, so that it has surely arrived before the present registrar charges a renewal, and before the end. */
final readonly class LastDays
{
    /** Nine days at worst, and the day itself (common practice). */
    private const ON_THE_WAY = 10;

    /**
     * @param  Instant|null  $charged  when its present registrar charges the next renewal, or is too near to that; null: not known
     * @param  Instant|null  $sensible  the last day on which nothing is charged twice; null: any, or none is left
     * @param  Instant|null  $last  the last day on which it can begin at all; null: any, or it has ended
     */
    private function __construct(public ?Instant $charged, public ?Instant $sensible, public ?Instant $last)
    {
    }

    /** @param  Instant|null  $ends  of its term; null: not known */
    public static function of(?Instant $ends, LateTerms $terms, Instant $now): self
    {
        if ($ends === null) {
            return new self(null, null, null);
        }
        $charged = Instant::earliest($terms->chargedAhead($ends) ?? $ends, $ends->plusDays(-Transfer::LAST_DAYS));
        $before = fn (Instant $day): ?Instant => $day->hasComeAt($now) ? null : $day->plusDays(-self::ON_THE_WAY);

        return new self($charged, $before($charged), $before($ends));
    }
}
