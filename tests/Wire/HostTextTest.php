<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Dns\HostText;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class HostTextTest extends TestCase
{
    #[TestWith(['NS1.Bells.example.', 'ns1.bells.example'])]
    #[TestWith(["ns\xff.example", 'ns\255.example'])]
    #[TestWith(["a b\0.example.", 'a\032b\000.example'])]
    #[TestWith(['_dmarc.bells.example', '_dmarc.bells.example'])]
    public function test_any_byte_can_be_told(string $name, string $expected): void
    {
        self::assertSame($expected, HostText::of($name));
        self::assertNotFalse(json_encode(HostText::of($name)));
    }
}
