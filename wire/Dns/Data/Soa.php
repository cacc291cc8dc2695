<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** The head of a zone (RFC 1035 §3.3.13); times in seconds. */
final readonly class Soa implements Data
{
    /** @param  int  $minimum  for how long “no such name” is kept, if the record's own time is not shorter (RFC 2308 §4) */
    public function __construct(
        public Name $primary,
        public Name $mailbox,
        public int $serial,
        public int $refresh,
        public int $retry,
        public int $expire,
        public int $minimum,
    ) {
    }

    public static function read(Octets $from, int $length): static
    {
        return new self($from->name(), $from->name(), $from->u32(), $from->u32(), $from->u32(), $from->u32(), $from->u32());
    }

    public static function parse(Values $values): static
    {
        return new self(
            $values->name(),
            $values->name(),
            $values->number(0xFFFFFFFF),
            $values->seconds(),
            $values->seconds(),
            $values->seconds(),
            $values->seconds(),
        );
    }

    public function write(Packet $to): void
    {
        $to->name($this->primary)
            ->name($this->mailbox)
            ->u32($this->serial, $this->refresh, $this->retry, $this->expire, $this->minimum);
    }

    public function __toString(): string
    {
        return "{$this->primary} {$this->mailbox} {$this->serial} {$this->refresh} {$this->retry} {$this->expire} {$this->minimum}";
    }
}
