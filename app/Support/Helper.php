<?php

declare(strict_types=1);

namespace App\Support;

use Symfony\Component\Process\Process;

/** A second process of ours beside this one, so that a long piece of work has two of the machine's cores. */
final class Helper
{
    public static function start(string ...$command): Process
    {
        $helper = new Process([PHP_BINARY, base_path('artisan'), ...$command], timeout: null);
        $helper->start();

        return $helper;
    }
}
