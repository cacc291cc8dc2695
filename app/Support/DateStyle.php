<?php

declare(strict_types=1);

namespace App\Support;

/** How the house writes a day. */
enum DateStyle: string
{
    case Words = 'words';
    case Iso = 'iso';
    case Points = 'points';
    case Slashes = 'slashes';

    /** As PHP's date functions take it. */
    public function format(): string
    {
        return match ($this) {
            self::Words => 'j M Y',
            self::Iso => 'Y-m-d',
            self::Points => 'd.m.Y',
            self::Slashes => 'd/m/Y',
        };
    }

    /** Without the year, where the year goes without saying. */
    public function short(): string
    {
        return match ($this) {
            self::Words => 'j M',
            self::Iso => 'm-d',
            self::Points => 'd.m.',
            self::Slashes => 'd/m',
        };
    }
}
