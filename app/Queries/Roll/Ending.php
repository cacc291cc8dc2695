<?php

declare(strict_types=1);

namespace App\Queries\Roll;

/** Which ends the Roll is narrowed to. */
enum Ending: string
{
    case Any = 'any';
    case Late = 'late';
    case Month = '30';
    case Quarter = '90';
    case Year = '365';

    /** Days ahead of today; null where it is no such span. */
    public function days(): ?int
    {
        return match ($this) {
            self::Month, self::Quarter, self::Year => (int) $this->value,
            self::Any, self::Late => null,
        };
    }
}
