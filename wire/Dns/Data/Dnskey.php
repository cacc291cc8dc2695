<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** A key that zones are signed with (RFC 4034 §2); CDNSKEY says which the parent should know (RFC 7344). */
final readonly class Dnskey implements Data
{
    /** @param  string  $key  bytes */
    public function __construct(public int $flags, public int $protocol, public int $algorithm, public string $key)
    {
    }

    public static function read(Octets $from, int $length): static
    {
        return new self($from->u16(), $from->u8(), $from->u8(), $from->take($length - 4));
    }

    public static function parse(Values $values): static
    {
        return new self($values->number(0xFFFF), $values->number(0xFF), $values->number(0xFF), $values->base64());
    }

    public function write(Packet $to): void
    {
        $to->u16($this->flags)->u8($this->protocol)->u8($this->algorithm)->bytes($this->key);
    }

    public function __toString(): string
    {
        return "{$this->flags} {$this->protocol} {$this->algorithm} ".base64_encode($this->key);
    }
}
