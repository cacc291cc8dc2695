<?php

declare(strict_types=1);

namespace Tests\Core\Title;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use Acre\Core\Title\Chain;
use Acre\Core\Title\Holding;
use Acre\Core\Title\Proof;
use Acre\Core\Title\ProofLine;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Chains and proofs over generated histories; the seed is fixed. */
final class ChainPropertiesTest extends TestCase
{
    /** @return list<Holding> one after the other, with gaps now and then, the last one open */
    private static function anyHistory(Randomizer $random): array
    {
        $at = Instant::of('2015-01-01');
        $holdings = [];
        for ($count = $random->getInt(1, 8); $count > 0; $count--) {
            $from = $at->plusDays($random->getInt(0, 1) * $random->getInt(1, 90));
            $at = $from->plusDays($random->getInt(1, 700));
            $holdings[] = new Holding(
                'account '.$random->getInt(1, 9),
                'client '.count($holdings),
                Span::of($from, $count === 1 ? null : $at),
                $random->getInt(0, 1) === 0 ? null : $count,
            );
        }

        return $holdings;
    }

    public function test_every_day_has_the_holder_that_a_walk_through_the_history_finds(): void
    {
        $random = new Randomizer(new Mt19937(61));
        for ($case = 0; $case < 400; $case++) {
            $history = self::anyHistory($random);
            $shuffled = $random->shuffleArray($history);
            $chain = Chain::of($shuffled);
            self::assertSame($history[0]->span->from?->epoch, $chain->knownSince()?->epoch);
            for ($asked = 0; $asked < 20; $asked++) {
                $day = Instant::of('2014-06-01')->plusDays($random->getInt(0, 4500));
                $walked = null;
                foreach ($history as $holding) {
                    if (
                        $holding->span->from !== null &&
                        $holding->span->from->epoch <= $day->epoch &&
                        ($holding->span->until === null || $day->epoch < $holding->span->until->epoch)
                    ) {
                        $walked = $holding;
                    }
                }
                self::assertSame($walked, $chain->on($day));
            }
        }
    }

    public function test_proofs_in_a_row_are_chained_and_one_changed_letter_breaks_the_row(): void
    {
        $random = new Randomizer(new Mt19937(132));
        $at = Instant::of('2026-10-06T09:00:00Z');
        $texts = [];
        $previous = null;
        for ($position = 1; $position <= 30; $position++) {
            $lines = [];
            for ($count = $random->getInt(1, 20); $count > 0; $count--) {
                $lines[] = new ProofLine(
                    "bell-{$position}-{$count}.example",
                    ['done', 'refused', 'stopped'][$random->getInt(0, 2)],
                    $at->toDay(),
                    'Skerry 40718, for the Foundry',
                    'Skerry 51877, for the Foundry',
                    '',
                );
            }
            $proof = Proof::of($position, 'hand over', 1, $at, 2, $at, $at, $random->shuffleArray($lines))->at($position, $previous);
            $previous = $proof->sha256;
            $texts[] = $proof->text;
        }
        self::assertTrue(self::holds($texts));
        for ($case = 0; $case < 50; $case++) {
            $forged = $texts;
            $which = $random->getInt(0, 28);
            $place = $random->getInt(0, strlen($forged[$which]) - 1);
            $forged[$which] = substr_replace($forged[$which], $forged[$which][$place] === 'x' ? 'y' : 'x', $place, 1);
            self::assertFalse(self::holds(array_values($forged)));
        }
        unset($texts[7]);
        self::assertFalse(self::holds(array_values($texts)), 'One left out shows too.');
    }

    /**
     * What anybody can do who has the texts and nothing else.
     *
     * @param  list<string>  $texts
     */
    private static function holds(array $texts): bool
    {
        $previous = 'none';
        foreach ($texts as $text) {
            if (! str_ends_with($text, "\nprevious proof: {$previous}\n")) {
                return false;
            }
            $previous = hash('sha256', $text);
        }

        return true;
    }
}
