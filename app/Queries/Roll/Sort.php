<?php

declare(strict_types=1);

namespace App\Queries\Roll;

use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;

/** In which order the Roll stands; each has its index with each filter. */
enum Sort: string
{
    case Next = 'next';
    case Ends = 'ends';
    case Name = 'name';

    public function column(): string
    {
        return match ($this) {
            self::Next => 'next_at',
            self::Ends => 'ends_on',
            self::Name => 'ascii',
        };
    }

    /** @return list<string> the columns of its index; what is wrong already stands before what is to come */
    public function order(): array
    {
        return $this === self::Next ? ['later', 'next_at', 'name_id'] : [$this->column(), 'name_id'];
    }

    /** What its column is, for PostgreSQL. */
    public function type(): string
    {
        return $this === self::Name ? 'text' : 'timestamptz';
    }

    /** The value of its column at which a list begins that starts at a letter or a day; null: that is neither. */
    public function start(string $from): ?string
    {
        if ($this === self::Name) {
            $ascii = idn_to_ascii($from, IDNA_NONTRANSITIONAL_TO_ASCII, INTL_IDNA_VARIANT_UTS46);

            return $ascii === false ? mb_strtolower($from) : $ascii;
        }
        try {
            return Instant::of($from)->toDay()->isoSecond();
        } catch (TimeError) {
            return null;
        }
    }
}
