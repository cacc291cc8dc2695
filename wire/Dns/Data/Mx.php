<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** A host that takes mail (RFC 1035 §3.3.9); the root with preference 0 says that none does (RFC 7505). */
final readonly class Mx implements Data
{
    public function __construct(public int $preference, public Name $host)
    {
    }

    public static function read(Octets $from, int $length): static
    {
        return new self($from->u16(), $from->name());
    }

    public static function parse(Values $values): static
    {
        return new self($values->number(0xFFFF), $values->name());
    }

    public function write(Packet $to): void
    {
        $to->u16($this->preference)->name($this->host);
    }

    public function __toString(): string
    {
        return "{$this->preference} {$this->host}";
    }
}
