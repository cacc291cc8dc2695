<?php

declare(strict_types=1);

namespace App\Support;

use ResourceBundle;

/** The currencies that there are, or were, as the Unicode project keeps them (CLDR). */
final class Currencies
{
    /** @param  string  $code  three capitals */
    public static function isKnown(string $code): bool
    {
        static $known = null;
        $known ??= ResourceBundle::create('en', 'ICUDATA-curr')?->get('Currencies');

        return ! $known instanceof ResourceBundle || $known->get($code) !== null;
    }
}
