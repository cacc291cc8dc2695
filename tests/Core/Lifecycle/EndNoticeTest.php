<?php

declare(strict_types=1);

namespace Tests\Core\Lifecycle;

use Acre\Core\Lifecycle\EndNotice;
use Acre\Core\Lifecycle\Intent;
use PHPUnit\Framework\TestCase;

/** ICANN Expired Registration Recovery Policy §2.1: about a month before the end, about a week before it, and within five days after it. */
final class EndNoticeTest extends TestCase
{
    public function test_one_follows_the_other(): void
    {
        $days = array_map(fn (EndNotice $one): array => $one->days(), EndNotice::cases());
        self::assertSame([30, 7, 0], array_slice(array_column($days, 0), 0, 3));
        foreach (array_slice($days, 1) as $i => [$first]) {
            self::assertSame($days[$i][1] - 1, $first, 'no day between, and none twice');
        }
        self::assertGreaterThanOrEqual(-5, $days[2][1]);
        self::assertSame(
            [false, false, true, true],
            array_map(fn (EndNotice $one): bool => $one->isAfter(), EndNotice::cases()),
        );
    }

    /** Common practice: only what is meant to renew by itself is set so. */
    public function test_which_setting_serves_which_intent(): void
    {
        foreach (Intent::cases() as $intent) {
            self::assertSame($intent === Intent::ByItself, $intent->isServedBy(true), $intent->value);
            self::assertSame($intent !== Intent::ByItself, $intent->isServedBy(false), $intent->value);
        }
    }
}
