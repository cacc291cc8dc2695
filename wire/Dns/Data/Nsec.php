<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** The next name of the zone, and what this one has: so that what is not can be proved (RFC 4034 §4). */
final readonly class Nsec implements Data
{
    public function __construct(public Name $next, public Types $types)
    {
    }

    public static function read(Octets $from, int $length): static
    {
        $end = $from->at + $length;

        return new self($from->name(), Types::read($from, $end));
    }

    public static function parse(Values $values): static
    {
        return new self($values->name(), Types::of($values->types()));
    }

    public function write(Packet $to): void
    {
        $to->plainName($this->next);
        $this->types->write($to);
    }

    public function __toString(): string
    {
        return rtrim("{$this->next} {$this->types}");
    }
}
