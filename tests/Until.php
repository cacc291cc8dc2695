<?php

declare(strict_types=1);

namespace Tests;

use RuntimeException;

/** Waits for what another process does, by asking again and again; how long is a setting, and no guess at the machine's speed. */
final class Until
{
    /** @param  callable(): bool  $isSo */
    public static function so(string $what, callable $isSo): void
    {
        $patience = getenv('ACRE_BROWSER_PATIENCE');
        $end = hrtime(true) + (int) ($patience === false ? '20' : $patience) * 3_000_000_000;
        while (! $isSo()) {
            if (hrtime(true) > $end) {
                throw new RuntimeException("Waited in vain: {$what}.");
            }
            usleep(20_000);
        }
    }
}
