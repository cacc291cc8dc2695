<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\CommonPasswords;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is tried first is refused; what nobody would guess is not. */
final class CommonPasswordsTest extends TestCase
{
    #[TestWith(['password1234'])]
    #[TestWith(['PASSWORD!!!!'])]
    #[TestWith(['12345password'])]
    #[TestWith(['dragondragon'])]
    #[TestWith(['qwertyuiop12'])]
    #[TestWith(['aaaaaaaaaaaa'])]
    #[TestWith(['abcdefghijkl'])]
    #[TestWith(['123456789012'])]
    #[TestWith(['odileharrow2'])]
    #[TestWith(['Harrow-Odile-1999'])]
    #[TestWith(['monkey monkey'])]
    public function test_it_is_refused(string $password): void
    {
        self::assertTrue(CommonPasswords::has($password, ['Odile', 'Harrow']));
    }

    #[TestWith(['seven herring gulls'])]
    #[TestWith(['a tern over the sound'])]
    #[TestWith(['Möwen fressen Heringe'])]
    #[TestWith(['j8#kQz!2vLp0'])]
    #[TestWith(['чайка над водой'])]
    public function test_it_is_taken(string $password): void
    {
        self::assertFalse(CommonPasswords::has($password, ['Odile', 'Harrow']));
    }
}
