<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Money\StatementLine;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What a registrar says of its entries may be anything. */
final class StatementLineTest extends TestCase
{
    public function test_an_entry_is_read(): void
    {
        $line = StatementLine::told('7', Instant::of('2026-10-06'), '-9.90', 'GBP', 'renew', 'bell.com');
        self::assertSame(
            ['-9.90', 'bell.com', 'renew bell.com', 'entry 7', 'renew'],
            [$line?->amount->decimal(), $line?->name, $line?->words, $line?->reference, $line?->kind()],
        );
        self::assertSame('top_up', StatementLine::told('8', Instant::of('2026-10-06'), '40', 'GBP', 'top_up', null)?->kind());
        // A word of its own is read like a line of a statement.
        self::assertSame('renew', StatementLine::told('9', Instant::of('2026-10-06'), '-9', 'GBP', 'Verlängerung', 'bell.com')?->kind());
    }

    #[TestWith(['', '-9.90', 'GBP'])]
    #[TestWith(["7\0", '-9.90', 'GBP'])]
    #[TestWith(["7\n8", '-9.90', 'GBP'])]
    #[TestWith(["\x80", '-9.90', 'GBP'])]
    #[TestWith(['7', '1e9', 'GBP'])]
    #[TestWith(['7', '99999999999', 'GBP'])]
    #[TestWith(['7', '-9.90', ''])]
    #[TestWith(['7', '-9.90', 'pounds'])]
    public function test_what_can_t_be_kept_is_left_out(string $id, string $amount, string $currency): void
    {
        self::assertNull(StatementLine::told($id, Instant::of('2026-10-06'), $amount, $currency, 'renew', 'bell.com'));
        self::assertNull(StatementLine::told(str_repeat('7', 101), Instant::of('2026-10-06'), '-9.90', 'GBP', 'renew', null));
        self::assertNull(StatementLine::told('7', null, '-9.90', 'GBP', 'renew', null));
    }

    public function test_odd_words_and_names_are_made_plain(): void
    {
        $line = StatementLine::told('7', Instant::of('2026-10-06'), '-9.90', 'GBP', "re\0new\u{202E}", "x\0.com");
        self::assertSame([null, 're new x .com'], [$line?->name, $line?->words]);
        self::assertLessThanOrEqual(400, mb_strlen(
            StatementLine::told('7', Instant::of('2026-10-06'), '-9.90', 'GBP', str_repeat('a ', 900), null)->words ?? '',
        ));
    }
}
