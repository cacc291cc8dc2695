<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Sealed\Sealed;
use Acre\Wire\Sealed\SealedError;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is kept comes back byte for byte, and only so. */
final class SealedTest extends TestCase
{
    /** @return resource */
    private function stream(string $content = '')
    {
        $stream = fopen('php://temp', 'w+b');
        self::assertIsResource($stream);
        fwrite($stream, $content);
        rewind($stream);

        return $stream;
    }

    private function seal(string $content): string
    {
        Sealed::seal($this->stream($content), $to = $this->stream(), 'seven herring gulls');
        rewind($to);

        return (string) stream_get_contents($to);
    }

    private function open(string $sealed, string $passphrase = 'seven herring gulls'): string
    {
        Sealed::open($this->stream($sealed), $to = $this->stream(), $passphrase);
        rewind($to);

        return (string) stream_get_contents($to);
    }

    #[TestWith([0])]
    #[TestWith([65_536])]
    #[TestWith([200_000])]
    public function test_any_length_comes_back(int $length): void
    {
        $content = str_repeat(random_bytes(50), intdiv($length, 50)).str_repeat('x', $length % 50);
        $sealed = $this->seal($content);
        self::assertSame($content, $this->open($sealed));
        self::assertStringStartsWith("ACRE KEPT 1\n", $sealed);
    }

    public function test_another_passphrase_a_changed_byte_and_a_cut_are_found(): void
    {
        $sealed = $this->seal(str_repeat('bell.com', 20_000));
        $changed = $sealed;
        $changed[100_000] = chr(ord($changed[100_000]) ^ 1);
        foreach (
            [
                [$sealed, 'eight herring gulls'],
                [$changed, 'seven herring gulls'],
                [substr($sealed, 0, 65_605), 'seven herring gulls'],
                [$sealed.'x', 'seven herring gulls'],
                ['PK', 'seven herring gulls'],
            ] as [$bytes, $passphrase]
        ) {
            try {
                $this->open($bytes, $passphrase);
                self::fail('It was opened.');
            } catch (SealedError $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
        self::assertStringNotContainsString('bell', $sealed);
    }
}
