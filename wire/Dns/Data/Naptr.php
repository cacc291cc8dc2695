<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** A rule that leads from a name to a service (RFC 3403 §4). */
final readonly class Naptr implements Data
{
    public function __construct(
        public int $order,
        public int $preference,
        public string $flags,
        public string $services,
        public string $pattern,
        public Name $replacement,
    ) {
    }

    public static function read(Octets $from, int $length): static
    {
        return new self($from->u16(), $from->u16(), $from->string(), $from->string(), $from->string(), $from->name());
    }

    public static function parse(Values $values): static
    {
        return new self(
            $values->number(0xFFFF),
            $values->number(0xFFFF),
            $values->string(),
            $values->string(),
            $values->string(),
            $values->name(),
        );
    }

    public function write(Packet $to): void
    {
        $to->u16($this->order, $this->preference)
            ->string($this->flags)
            ->string($this->services)
            ->string($this->pattern)
            ->signedName($this->replacement);
    }

    public function __toString(): string
    {
        $texts = implode(' ', array_map(Values::quoted(...), [$this->flags, $this->services, $this->pattern]));

        return "{$this->order} {$this->preference} {$texts} {$this->replacement}";
    }
}
