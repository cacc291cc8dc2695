<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** Lines end at 140 columns, so that two files fit beside each other on a screen. */
final class LineLengthTest extends TestCase
{
    private const COLUMNS = 140;

    /** Made by a program or taken over from elsewhere as it was. */
    private const NOT_WRITTEN = ['core/Drawing/Data', 'docs/findings.md', 'app/Support/Data', 'package-lock.json'];

    public function test_no_line_is_longer(): void
    {
        $root = dirname(__DIR__, 2);
        $files = Finder::create()
            ->files()
            ->in($root)
            ->exclude(['var', 'vendor', 'node_modules'])
            ->ignoreVCSIgnored(true)
            ->ignoreDotFiles(false)
            ->name(['*.php', '*.md', '*.yaml', '*.json', '*.css', '*.js', '*.mjs', '*.sh', '*.ini', '*.conf', '*.html', '*.svg', '*.xsd'])
            ->notPath(self::NOT_WRITTEN);
        $long = [];
        $read = 0;
        foreach ($files as $file) {
            $read++;
            foreach (explode("\n", $file->getContents()) as $number => $line) {
                if (mb_strlen($line) > self::COLUMNS) {
                    $long[] = $file->getRelativePathname().':'.($number + 1);
                }
            }
        }

        self::assertGreaterThan(1000, $read);
        self::assertSame([], $long);
    }
}
