<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** Another name: of a server (NS), of what this one is an alias of (CNAME), of an address (PTR): RFC 1035 §3.3. */
final readonly class Host implements Data
{
    public function __construct(public Name $host)
    {
    }

    public static function read(Octets $from, int $length): static
    {
        return new self($from->name());
    }

    public static function parse(Values $values): static
    {
        return new self($values->name());
    }

    public function write(Packet $to): void
    {
        $to->name($this->host);
    }

    public function __toString(): string
    {
        return (string) $this->host;
    }
}
