<?php

declare(strict_types=1);

namespace Tests\Core\Balance;

use Acre\Core\Balance\Amiss;
use Acre\Core\Balance\Entered;
use Acre\Core\Balance\Expected;
use Acre\Core\Balance\Reckoning;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;

/** What was charged in October 2026, against what was expected. */
final class ReckoningTest extends TestCase
{
    public function test_each_way_in_which_it_can_differ(): void
    {
        $expected = [self::expected('same.com', 12), self::expected('missing.com', 12), self::expected('twice.com', 12),
            self::expected('dear.com', 13), self::expected('late.com', 12, 19)];
        $entered = [self::charged('same.com', 12), self::charged('twice.com', 12), self::charged('twice.com', 14),
            self::charged('dear.com', 13, '12.00'), self::charged('late.com', 20), self::charged('stranger.com', 15, isOurs: false),
            self::charged('moved.com', 15, isRenewal: false), self::charged('missing.com', 12, isRenewal: false)];
        self::assertSame(
            ['12 missing.com missing 9.90 -', '13 dear.com other_price 9.90 12.00', '14 twice.com double - 9.90',
                '15 stranger.com not_ours - 9.90'],
            self::told($expected, $entered, 30),
        );
    }

    public function test_it_is_missing_only_once_the_last_try_is_over(): void
    {
        $expected = [self::expected('a.com', 12, 19)];
        self::assertSame([], self::told($expected, [], 22));
        self::assertSame(['12 a.com missing 9.90 -'], self::told($expected, [], 23));
        // Three days before and after are the same charge; a fourth is another.
        self::assertSame([], self::told([self::expected('a.com', 12)], [self::charged('a.com', 9)], 30));
        self::assertSame([], self::told([self::expected('a.com', 12)], [self::charged('a.com', 15)], 30));
        self::assertSame(['12 a.com missing 9.90 -'], self::told([self::expected('a.com', 12)], [self::charged('a.com', 8)], 30));
        self::assertSame(['12 a.com missing 9.90 -'], self::told([self::expected('a.com', 12)], [self::charged('a.com', 16)], 30));
    }

    private static function expected(string $name, int $day, ?int $until = null): Expected
    {
        return new Expected($name, self::day($day), self::day($until ?? $day), Money::of('9.90', 'GBP'));
    }

    private static function charged(string $name, int $day, string $sum = '9.90', bool $isOurs = true, bool $isRenewal = true): Entered
    {
        return new Entered($name, $isOurs, $isRenewal, self::day($day), Money::of($sum, 'GBP'));
    }

    private static function day(int $day): Instant
    {
        return Instant::day(2026, 10, $day);
    }

    /**
     * @param  list<Expected>  $expected
     * @param  list<Entered>  $entered
     * @return list<string>
     */
    private static function told(array $expected, array $entered, int $now): array
    {
        return array_map(
            fn (Amiss $one): string => substr($one->on->date(), 8)." {$one->name} {$one->kind->value} ".
                ($one->expected?->decimal() ?? '-').' '.($one->charged?->decimal() ?? '-'),
            Reckoning::of($expected, $entered, self::day($now)),
        );
    }
}
