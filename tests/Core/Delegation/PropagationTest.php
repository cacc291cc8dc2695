<?php

declare(strict_types=1);

namespace Tests\Core\Delegation;

use Acre\Core\Delegation\Propagation;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;

/** When the last old answer has died (RFC 1035 §3.2.1, RFC 2181 §5.4.1). */
final class PropagationTest extends TestCase
{
    public function test_an_old_list_is_kept_for_the_longer_ttl_and_then_an_old_answer_for_its_own(): void
    {
        $from = Instant::of('2026-10-06T09:00:00Z');
        $spread = Propagation::of(172_800, 3_600, 86_400, $from);
        self::assertSame('2026-10-08T09:00:00Z', $spread->serversUntil->isoSecond());
        self::assertSame('2026-10-09T09:00:00Z', $spread->answersUntil->isoSecond());
        self::assertSame('2026-10-07T09:00:00Z', Propagation::of(3_600, 86_400, 0, $from)->answersUntil->isoSecond());
        self::assertSame('2026-10-08T09:00:00Z', Propagation::of(null, null, 0, $from)->answersUntil->isoSecond());
    }

    public function test_only_the_zones_own_ttls_can_be_lowered(): void
    {
        $from = Instant::of('2026-10-06T09:00:00Z');
        self::assertSame('2026-10-06T10:05:00Z', Propagation::lowered(3_600, 86_400, 86_400, $from)->answersUntil->isoSecond());
        self::assertSame('2026-10-06T10:01:00Z', Propagation::lowered(3_600, 60, 60, $from)->answersUntil->isoSecond());
    }
}
