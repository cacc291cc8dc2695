<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** What papers say of tests is true. */
final class PapersTest extends TestCase
{
    #[TestWith(['docs/security.md', 30])]
    #[TestWith(['docs/behind-tls.md', 1])]
    #[TestWith(['docs/handbook.md', 3])]
    public function test_every_test_that_is_named_is_there(string $paper, int $least): void
    {
        $root = dirname(__DIR__, 2);
        preg_match_all('/\b([A-Z]\w+Test)\b(?:::(test_\w+))?/', (string) file_get_contents("{$root}/{$paper}"), $named, PREG_SET_ORDER);
        self::assertGreaterThanOrEqual($least, count($named));
        foreach ($named as $one) {
            $files = Finder::create()->files()->in("{$root}/tests")->name("{$one[1]}.php")->contains('function '.($one[2] ?? 'test_'));
            self::assertGreaterThan(0, $files->count(), $one[0]);
        }
    }
}
