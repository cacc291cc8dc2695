<?php

declare(strict_types=1);

namespace Tests\Core\Title;

use Acre\Core\Time\Instant;
use Acre\Core\Title\Head;
use Acre\Core\Title\LogDay;
use Acre\Core\Title\TitleError;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** How far a house's records had come, signed. */
final class HeadTest extends TestCase
{
    /** @param  non-empty-string  $seed */
    private static function secret(string $seed = 'a'): string
    {
        return sodium_crypto_sign_secretkey(sodium_crypto_sign_seed_keypair(str_repeat($seed, 32)));
    }

    private static function head(?string $last = null): Head
    {
        return new Head(Instant::of('2026-11-30T06:31:02Z'), 17, $last ?? str_repeat('a', 64), '2026-11-29', str_repeat('b', 64), 12, 4057);
    }

    public function test_what_was_signed_is_read_back(): void
    {
        $text = self::head()->signed(self::secret());
        self::assertStringStartsWith(
            "Acre Roll, head of its records, form 1\nkept: 2026-11-30T06:31:02Z\nproofs: 17\nlast proof: aaaa",
            $text,
        );
        self::assertStringContainsString("log closed to: 2026-11-29\nlast day: bbbb", $text);
        self::assertStringContainsString("rows since: 12 to row 4057\n", $text);
        self::assertEquals(self::head(), Head::read($text, self::secret()));
    }

    public function test_of_a_house_that_has_nothing_yet(): void
    {
        $none = new Head(Instant::of('2026-11-30T06:31:02Z'), 0, null, null, null, 0, 0);
        self::assertEquals($none, Head::read($none->signed(self::secret()), self::secret()));
    }

    public function test_two_say_the_same_whenever_they_were_kept(): void
    {
        $later = new Head(Instant::of('2027-01-01T00:00:00Z'), 17, str_repeat('a', 64), '2026-11-29', str_repeat('b', 64), 12, 4057);
        self::assertTrue(self::head()->saysTheSameAs($later));
        self::assertFalse(self::head()->saysTheSameAs(self::head(str_repeat('c', 64))));
    }

    #[TestWith(['proofs: 17', 'proofs: 16'], 'fewer proofs')]
    #[TestWith(['2026-11-29', '2026-11-28'], 'a day less')]
    #[TestWith(['rows since: 12', 'rows since: 11'], 'a row less')]
    #[TestWith(['kept: 2026', 'kept: 2025'], 'dated back')]
    #[TestWith(["form 1\n", "form 2\n"], 'another form')]
    #[TestWith(['signature: ', "more: of it\nsignature: "], 'a line more')]
    public function test_one_byte_changed_is_found(string $was, string $is): void
    {
        $this->expectException(TitleError::class);
        Head::read(str_replace($was, $is, self::head()->signed(self::secret())), self::secret());
    }

    public function test_another_house_cannot_sign_it(): void
    {
        $this->expectExceptionMessage('another house signed it');
        Head::read(self::head()->signed(self::secret('b')), self::secret());
    }

    public function test_without_a_key_nothing_is_signed_or_believed(): void
    {
        $text = self::head()->signed(self::secret());
        foreach ([fn () => Head::read($text, ''), fn () => self::head()->signed('')] as $tried) {
            try {
                $tried();
                self::fail();
            } catch (TitleError $error) {
                self::assertStringContainsString('missing or too short', $error->getMessage());
            }
        }
    }

    public function test_a_day_of_the_log_hangs_on_the_day_before(): void
    {
        $day = LogDay::of('2026-11-29', 3, str_repeat('0', 64), null);
        self::assertSame(
            "Acre Roll, a day of the log, form 1\nday: 2026-11-29\nrows: 3\nof the rows: ".
                str_repeat('0', 64).
                "\n\nprevious day: none\n",
            $day->text,
        );
        self::assertSame(hash('sha256', $day->text), $day->sha256);
        self::assertNotSame($day->sha256, LogDay::of('2026-11-29', 3, str_repeat('0', 64), $day->sha256)->sha256);
    }
}
