<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Otp\Totp;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** RFC 6238, appendix B; RFC 4648, section 10. */
final class TotpTest extends TestCase
{
    #[TestWith([59, 'sha1', '94287082'])]
    #[TestWith([59, 'sha256', '46119246'])]
    #[TestWith([59, 'sha512', '90693936'])]
    #[TestWith([1111111109, 'sha1', '07081804'])]
    #[TestWith([1111111109, 'sha256', '68084774'])]
    #[TestWith([1111111109, 'sha512', '25091201'])]
    #[TestWith([1111111111, 'sha1', '14050471'])]
    #[TestWith([1111111111, 'sha256', '67062674'])]
    #[TestWith([1111111111, 'sha512', '99943326'])]
    #[TestWith([1234567890, 'sha1', '89005924'])]
    #[TestWith([1234567890, 'sha256', '91819424'])]
    #[TestWith([1234567890, 'sha512', '93441116'])]
    #[TestWith([2000000000, 'sha1', '69279037'])]
    #[TestWith([2000000000, 'sha256', '90698825'])]
    #[TestWith([2000000000, 'sha512', '38618901'])]
    #[TestWith([20000000000, 'sha1', '65353130'])]
    #[TestWith([20000000000, 'sha256', '77737706'])]
    #[TestWith([20000000000, 'sha512', '47863826'])]
    public function test_the_published_codes(int $time, string $hash, string $code): void
    {
        self::assertTrue($hash === 'sha1' || $hash === 'sha256' || $hash === 'sha512');
        self::assertSame(
            $code,
            Totp::code(substr(str_repeat('1234567890', 7), 0, ['sha1' => 20, 'sha256' => 32, 'sha512' => 64][$hash]), $time, 8, $hash),
        );
    }

    public function test_a_code_is_taken_a_step_early_or_late_and_never_twice(): void
    {
        $secret = '12345678901234567890';
        $time = 1_111_111_111;
        $now = intdiv($time, 30);
        self::assertSame($now, Totp::step($secret, Totp::code($secret, $time), $time, null));
        self::assertSame($now - 1, Totp::step($secret, Totp::code($secret, $time - 30), $time, null));
        self::assertSame($now + 1, Totp::step($secret, Totp::code($secret, $time + 30), $time, null));
        self::assertNull(Totp::step($secret, Totp::code($secret, $time - 60), $time, null));
        self::assertNull(Totp::step($secret, Totp::code($secret, $time), $time, $now));
        self::assertNull(Totp::step($secret, Totp::code($secret, $time - 30), $time, $now));
        self::assertNull(Totp::step($secret, '000000', $time, null));
    }

    #[TestWith(['', ''])]
    #[TestWith(['f', 'MY'])]
    #[TestWith(['fo', 'MZXQ'])]
    #[TestWith(['foo', 'MZXW6'])]
    #[TestWith(['foob', 'MZXW6YQ'])]
    #[TestWith(['fooba', 'MZXW6YTB'])]
    #[TestWith(['foobar', 'MZXW6YTBOI'])]
    public function test_base_32_without_its_padding(string $bytes, string $text): void
    {
        self::assertSame($text, Totp::base32($bytes));
    }

    public function test_the_address_that_a_program_takes(): void
    {
        self::assertSame(
            'otpauth://totp/Acre%20Roll:theo%40harrow-tern.example?secret=MZXW6&issuer=Acre%20Roll',
            Totp::address('theo@harrow-tern.example', 'Acre Roll', 'MZXW6'),
        );
    }
}
