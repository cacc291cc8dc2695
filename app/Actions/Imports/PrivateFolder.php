<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Illuminate\Filesystem\Filesystem;
use RuntimeException;

/**
 * Where a reader unpacks what somebody sent: for nobody else to read, and removed by whoever started the reader, however that ended.
 * What a starter that was killed itself left behind is removed by the next.
 */
final readonly class PrivateFolder
{
    /** Seconds after which nobody reads any more: a reader's own limit, and some. */
    private const OLD = 7_200;

    private const BEGINS = 'acre-list-';

    private function __construct(public string $path)
    {
    }

    public static function make(): self
    {
        $above = storage_path('framework/cache');
        $others = glob("{$above}/".self::BEGINS.'*', GLOB_ONLYDIR);
        foreach ($others === false ? [] : $others as $left) {
            if (@filemtime($left) < time() - self::OLD) {
                (new Filesystem)->deleteDirectory($left);
            }
        }
        $path = "{$above}/".self::BEGINS.bin2hex(random_bytes(12));
        if (! mkdir($path, 0700)) {
            throw new RuntimeException('No folder can be made to read a list in.');
        }

        return new self($path);
    }

    public function remove(): void
    {
        (new Filesystem)->deleteDirectory($this->path);
    }
}
