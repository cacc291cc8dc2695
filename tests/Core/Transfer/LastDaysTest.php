<?php

declare(strict_types=1);

namespace Tests\Core\Transfer;

use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Time\Instant;
use Acre\Core\Transfer\LastDays;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Common practice: ten days for the way, thirty before the end nobody begins any more. */
final class LastDaysTest extends TestCase
{
    #[TestWith(['2027-11-02', 0, '2027-10-03', '2027-09-23', '2027-10-23'])]
    #[TestWith(['2027-11-02', 45, '2027-09-18', '2027-09-08', '2027-10-23'])]
    #[TestWith(['2027-11-02', 7, '2027-10-03', '2027-09-23', '2027-10-23'])]
    #[TestWith(['2026-10-20', 0, '2026-09-20', null, '2026-10-10'])]
    #[TestWith(['2026-10-06', 0, '2026-09-06', null, null])]
    #[TestWith([null, 7, null, null, null])]
    public function test_between_the_charge_and_the_end(?string $ends, int $lead, ?string $charged, ?string $sensible, ?string $last): void
    {
        $days = LastDays::of($ends === null ? null : Instant::of($ends), new LateTerms($lead), Instant::of('2026-10-06'));
        self::assertSame([$charged, $sensible, $last], [$days->charged?->date(), $days->sensible?->date(), $days->last?->date()]);
    }
}
