<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** Bytes of a type that has no class here: `\# 4 0A000001` (RFC 3597 §5). */
final readonly class Unknown implements Data
{
    public const MARK = '\#';

    public function __construct(public string $bytes)
    {
    }

    public static function read(Octets $from, int $length): static
    {
        return new self($from->take($length));
    }

    public static function parse(Values $values): static
    {
        $mark = $values->text('\# and a length');
        if ($mark !== self::MARK) {
            throw DnsError::field($mark, '\#, a length, and bytes in hexadecimal digits');
        }
        $length = $values->number(0xFFFF);
        $bytes = $values->isEnd() ? '' : $values->hex();

        return strlen($bytes) === $length ? new self($bytes) : throw DnsError::field(bin2hex($bytes), "of {$length} bytes");
    }

    public function write(Packet $to): void
    {
        $to->bytes($this->bytes);
    }

    public function __toString(): string
    {
        return rtrim(self::MARK.' '.strlen($this->bytes).' '.strtoupper(bin2hex($this->bytes)));
    }
}
