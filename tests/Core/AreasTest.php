<?php

declare(strict_types=1);

namespace Tests\Core;

use FilesystemIterator;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** The areas of a room lean one way: whoever reads one never has to read the ones above it. */
final class AreasTest extends TestCase
{
    #[TestWith(['core', 'Acre\\Core'])]
    #[TestWith(['app/Actions', 'App\\Actions'])]
    public function test_no_areas_depend_on_each_other_in_a_circle(string $folder, string $namespace): void
    {
        $leansOn = self::leansOn($folder, $namespace);
        self::assertGreaterThan(10, count($leansOn));

        // An area that leans on nothing that is left goes, until none is left; what stays is a circle.
        while (($free = array_filter($leansOn, fn (array $others): bool => $others === [])) !== []) {
            $leansOn = array_map(
                fn (array $others): array => array_diff_key($others, $free),
                array_diff_key($leansOn, $free),
            );
        }

        self::assertSame([], $leansOn, 'These areas lean on each other in a circle.');
    }

    /** @return array<string, array<string, string>> per area, the areas that it uses, each with the first file that does */
    private static function leansOn(string $folder, string $namespace): array
    {
        $root = __DIR__."/../../{$folder}/";
        $found = [];
        /** @var SplFileInfo $file */
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file) {
            $path = substr($file->getPathname(), strlen($root));
            if (! str_contains($path, '/')) {
                continue;
            }
            $area = explode('/', $path)[0];
            $found[$area] ??= [];
            $pattern = '/^use '.preg_quote($namespace, '/').'\\\\(\w+)\\\\/m';
            preg_match_all($pattern, (string) file_get_contents($file->getPathname()), $used);
            foreach (array_diff($used[1], [$area]) as $other) {
                $found[$area][$other] ??= $path;
            }
        }

        return $found;
    }
}
