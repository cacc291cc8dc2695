<?php

declare(strict_types=1);

namespace Tests\Standin;

use Standin\Store;
use Standin\World;

/** The world as a killed process of it leaves it. */
final class Killed
{
    /** @param  string  $file  that the process, which holds it alone, writes */
    public static function world(string $file): World
    {
        $left = (string) tempnam(sys_get_temp_dir(), 'left');
        copy($file, $left);
        if (is_file("{$file}-wal")) {
            copy("{$file}-wal", "{$left}-wal");
        }

        return new World(new Store($left));
    }
}
