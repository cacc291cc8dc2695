<?php

declare(strict_types=1);

namespace App\Queries\Roll;

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
}
