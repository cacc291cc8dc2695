<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Time\Instant;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Given;
use Tests\TestCase;

/**
 * Phases worked out a second time, in SQL by date arithmetic, from the published periods alone: gTLD registry agreements
 * with RFC 3915 §2 (auto-renew grace 45 days, redemption 30, pending delete 5), ICANN's Expired Registration Recovery
 * Policy §2.2 (dark for the last eight renewable days); for .uk the rulebook's own values, from memory (30, then 90).
 */
final class PhasesReferenceTest extends TestCase
{
    private const SQL = <<<'SQL'
    SELECT CASE
            WHEN now < ends THEN 'in_term'
            WHEN uk AND now < ends + 30 THEN 'grace'
            WHEN uk AND now < ends + 90 THEN 'suspended'
            WHEN uk THEN 'released'
            WHEN now < ends + late THEN 'grace'
            WHEN now < ends + late + 30 THEN 'redemption'
            WHEN now < ends + late + 35 THEN 'pending_delete'
            ELSE 'released' END AS phase,
        (CASE WHEN uk THEN ends + 90 ELSE ends + late + 35 END)::text AS released,
        (CASE WHEN uk THEN ends + least(30, dark) ELSE ends + greatest(0, least(dark, late - 8)) END)::text AS dark
    FROM ROWS FROM (jsonb_to_recordset(?::jsonb) AS (ends date, now date, late int, dark int, uk bool)) WITH ORDINALITY AS c(ends, now,
    late, dark, uk, place)
    ORDER BY place
    SQL;

    public function test_phases_and_dates_agree_with_a_second_computation(): void
    {
        $random = new Randomizer(new Mt19937(3915));
        $cases = [];
        for ($case = 0; $case < 6000; $case++) {
            $ends = Instant::of('2020-01-01')->plusDays($random->getInt(0, 3000));
            $cases[] = [
                'ends' => $ends->iso(),
                'now' => $ends->plusDays($random->getInt(-30, 130))->iso(),
                'late' => $random->getInt(1, 45),
                'dark' => $random->getInt(0, 60),
                'uk' => $case % 3 === 0,
            ];
        }
        /** @var list<object{phase: string, released: string, dark: string}> $rows */
        $rows = DB::select(self::SQL, [json_encode($cases)]);
        self::assertCount(count($cases), $rows);
        $seen = [];
        foreach ($cases as $place => $case) {
            // A registrar may cut a gTLD's grace; at .uk its own limit is no matter of the registry's phases.
            $terms = new LateTerms(darkAfter: $case['dark'], lateUntil: $case['uk'] ? null : $case['late']);
            $life = Given::life(
                $case['uk'] ? 'bell.co.uk' : 'bell.net',
                '2015-06-01',
                $case['ends'],
                terms: $terms,
                now: $case['now'].'T00:00:00Z',
            );
            $said = (string) json_encode($case);
            self::assertSame($rows[$place]->phase, $life->phase->value, $said);
            self::assertSame($rows[$place]->released, $life->event(EventKind::Released)?->at->iso(), $said);
            self::assertSame($rows[$place]->dark, $life->event(EventKind::Dark)?->at->iso(), $said);
            $seen[$rows[$place]->phase] = true;
        }
        self::assertCount(6, $seen);
    }
}
