<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** What all names below this one are aliases below (RFC 6672). */
final readonly class Dname implements Data
{
    public function __construct(public Name $target)
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
        $to->signedName($this->target);
    }

    public function __toString(): string
    {
        return (string) $this->target;
    }
}
