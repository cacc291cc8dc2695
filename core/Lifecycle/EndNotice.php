<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

/**
 * What is told around the end of a name of which nothing is decided. A gTLD registrar writes about a month and about a week before it, and
 * within five days after it (ICANN Expired Registration Recovery Policy §2.1); ours come at the same times, and once more before it is
 * deleted.
 */
enum EndNotice: string
{
    case Month = 'month';
    case Week = 'week';
    case Today = 'today';
    case Over = 'over';

    /** @return array{int, int} first and last day on which it is told, counted until the end; below nothing: after it */
    public function days(): array
    {
        return match ($this) {
            self::Month => [30, 8],
            self::Week => [7, 1],
            self::Today => [0, -4],
            self::Over => [-5, -25],
        };
    }

    /** Whether the term is over when it is told. */
    public function isAfter(): bool
    {
        return $this->days()[0] <= 0;
    }
}
