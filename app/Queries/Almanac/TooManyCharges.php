<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use RuntimeException;

/** More charges come in the span than one page holds. */
final class TooManyCharges extends RuntimeException
{
}
