<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** How the names of a zone are hashed (RFC 5155 §4). */
final readonly class Nsec3Param implements Data
{
    /** @param  string  $salt  bytes */
    public function __construct(public int $algorithm, public int $flags, public int $iterations, public string $salt)
    {
    }

    public static function read(Octets $from, int $length): static
    {
        return new self($from->u8(), $from->u8(), $from->u16(), $from->string());
    }

    public static function parse(Values $values): static
    {
        return new self($values->number(0xFF), $values->number(0xFF), $values->number(0xFFFF), self::salt($values->text('a salt')));
    }

    public function write(Packet $to): void
    {
        $to->u8($this->algorithm)->u8($this->flags)->u16($this->iterations)->string($this->salt);
    }

    public function __toString(): string
    {
        $salt = $this->salt === '' ? '-' : strtoupper(bin2hex($this->salt));

        return "{$this->algorithm} {$this->flags} {$this->iterations} {$salt}";
    }

    private static function salt(string $text): string
    {
        $isHex = strlen($text) % 2 === 0 && strlen($text) <= 510 && ctype_xdigit($text);

        return $text === '-'
            ? ''
            : ($isHex ? (string) hex2bin($text) : throw DnsError::field($text, 'a salt in hexadecimal digits, or -'));
    }
}
