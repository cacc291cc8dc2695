<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** Where a service runs (RFC 2782). */
final readonly class Srv implements Data
{
    public function __construct(public int $priority, public int $weight, public int $port, public Name $host)
    {
    }

    public static function read(Octets $from, int $length): static
    {
        return new self($from->u16(), $from->u16(), $from->u16(), $from->name());
    }

    public static function parse(Values $values): static
    {
        return new self($values->number(0xFFFF), $values->number(0xFFFF), $values->number(0xFFFF), $values->name());
    }

    public function write(Packet $to): void
    {
        $to->u16($this->priority, $this->weight, $this->port)->signedName($this->host);
    }

    public function __toString(): string
    {
        return "{$this->priority} {$this->weight} {$this->port} {$this->host}";
    }
}
