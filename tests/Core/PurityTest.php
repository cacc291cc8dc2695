<?php

declare(strict_types=1);

namespace Tests\Core;

use FilesystemIterator;
use PhpToken;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use ReflectionFunction;
use SplFileInfo;

/** What phpat can't see: the global functions that core and wire call are PHP's own, and none asks the clock. */
final class PurityTest extends TestCase
{
    private const CLOCKS = ['time', 'date', 'gmdate', 'hrtime', 'microtime', 'strtotime', 'mktime'];

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        foreach (['core', 'wire'] as $room) {
            /** @var SplFileInfo $file */
            foreach (
                new RecursiveIteratorIterator(
                    new RecursiveDirectoryIterator(__DIR__."/../../{$room}", FilesystemIterator::SKIP_DOTS),
                ) as $file
            ) {
                if ($file->getExtension() === 'php') {
                    yield substr($file->getPathname(), strlen(__DIR__.'/../../')) => [$file->getPathname()];
                }
            }
        }
    }

    #[DataProvider('files')]
    public function test_it_calls_only_functions_of_php_itself(string $path): void
    {
        $tokens = array_values(
            array_filter(PhpToken::tokenize((string) file_get_contents($path)), fn (PhpToken $token): bool => ! $token->isIgnorable()),
        );
        $foreign = [];
        foreach ($tokens as $place => $token) {
            $before = $tokens[$place - 1]->text ?? '';
            $isCall =
                $token->is([T_STRING, T_NAME_FULLY_QUALIFIED]) &&
                ($tokens[$place + 1]->text ?? '') === '(' &&
                ! in_array($before, ['->', '?->', '::', 'function', 'new', '#['], true);
            if (! $isCall) {
                continue;
            }
            $name = ltrim($token->text, '\\');
            $oneArgument = $name === 'gmdate' && ! self::hasComma($tokens, $place + 1);
            if (
                ! function_exists($name) ||
                ! (new ReflectionFunction($name))->isInternal() ||
                ($name !== 'gmdate' && in_array($name, self::CLOCKS, true)) ||
                $oneArgument
            ) {
                $foreign[] = "{$name} in line {$token->line}";
            }
        }
        self::assertSame([], $foreign);
    }

    /** @param  list<PhpToken>  $tokens */
    private static function hasComma(array $tokens, int $from): bool
    {
        for ($depth = 0, $at = $from; isset($tokens[$at]); $at++) {
            $depth += match ($tokens[$at]->text) {
                '(' => 1,
                ')' => -1,
                default => 0,
            };
            if ($depth === 1 && $tokens[$at]->text === ',') {
                return true;
            }
            if ($depth === 0) {
                return false;
            }
        }

        return false;
    }
}
