<?php

declare(strict_types=1);

namespace Tests\Core\Title;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use Acre\Core\Title\Chain;
use Acre\Core\Title\Holding;
use Acre\Core\Title\Proof;
use Acre\Core\Title\ProofLine;
use Acre\Core\Title\TitleError;
use PHPUnit\Framework\TestCase;

final class TitleTest extends TestCase
{
    private static function holding(string $client, ?string $from, ?string $until): Holding
    {
        return new Holding(
            'Skerry 40718',
            $client,
            Span::of($from === null ? null : Instant::of($from), $until === null ? null : Instant::of($until)),
            null,
        );
    }

    public function test_who_held_it_on_a_day(): void
    {
        $chain = Chain::of([self::holding('the Foundry', '2025-03-03', null), self::holding('Harrow & Tern', '2023-06-02', '2025-03-03')]);
        self::assertSame('Harrow & Tern', $chain->on(Instant::of('2025-03-02'))?->client);
        self::assertSame('the Foundry', $chain->on(Instant::of('2025-03-03'))?->client);
        self::assertNull($chain->on(Instant::of('2023-06-01')));
        self::assertSame('2023-06-02', $chain->knownSince()?->iso());
    }

    public function test_two_holders_at_once_are_refused(): void
    {
        $this->expectException(TitleError::class);
        Chain::of([self::holding('one', '2023-06-02', '2025-03-03'), self::holding('other', '2025-03-02', null)]);
    }

    private static function proof(string $reason = '', string $first = 'a.example'): Proof
    {
        $at = Instant::of('2026-10-06T09:00:00Z');

        return Proof::of(132, 'hand over to Skerry 51877', 3, $at, 1, $at, $at, [
            new ProofLine('b.example', 'refused', null, 'Skerry 40718', 'Skerry 40718', $reason),
            new ProofLine($first, 'done', Instant::of('2026-10-07'), 'Skerry 40718', 'Skerry 51877', ''),
        ])->at(1, null);
    }

    public function test_the_digest_is_what_sha256sum_says_of_the_text(): void
    {
        $proof = self::proof('not accepted');
        $file = (string) tempnam(sys_get_temp_dir(), 'acre-proof-');
        file_put_contents($file, $proof->text);
        self::assertStringStartsWith($proof->sha256.' ', (string) shell_exec('sha256sum '.escapeshellarg($file)));
        unlink($file);
    }

    public function test_the_text_is_canonical(): void
    {
        self::assertSame(self::proof()->text, self::proof()->text);
        self::assertNotSame(self::proof()->sha256, self::proof(first: 'c.example')->sha256);
        self::assertLessThan(strpos(self::proof()->text, 'name: b.example'), (int) strpos(self::proof()->text, 'name: a.example'));
        self::assertStringEndsWith("previous proof: none\n", self::proof()->text);
    }

    public function test_a_value_cannot_forge_a_line(): void
    {
        $proof = self::proof("late\nresult: done");
        self::assertStringContainsString('reason: late\u{a}result: done'."\n", $proof->text);
        self::assertSame(substr_count(self::proof('late')->text, "\n"), substr_count($proof->text, "\n"));
    }

    /** Two values never read alike, and whatever a value holds, it can be told. */
    public function test_what_would_break_or_hide_a_line_is_written_out(): void
    {
        $reason = fn (string $said): string => preg_match('/^reason: (.*)$/m', self::proof($said)->text, $found) === 1 ? $found[1] : '';
        self::assertSame('a\u{0}b\u{7f}c\u{85}d\u{2028}e\u{202e}f', $reason("a\0b\x7fc\u{85}d\u{2028}e\u{202E}f"));
        self::assertSame('\u{5c}u{a} é', $reason('\u{a} é'));
        self::assertSame("\u{645}\u{6CC}\u{200C}\u{62E}", $reason("\u{645}\u{6CC}\u{200C}\u{62E}"), 'spelling needs a joiner');
        self::assertNotSame('', $reason("no \xff UTF-8"));
    }
}
