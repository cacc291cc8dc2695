<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** A digest of the key below (RFC 4034 §5); CDS says what it should be (RFC 7344). */
final readonly class Ds implements Data
{
    /** @param  string  $digest  bytes */
    public function __construct(public int $tag, public int $algorithm, public int $digestType, public string $digest)
    {
    }

    public static function read(Octets $from, int $length): static
    {
        return new self($from->u16(), $from->u8(), $from->u8(), $from->take($length - 4));
    }

    public static function parse(Values $values): static
    {
        return new self($values->number(0xFFFF), $values->number(0xFF), $values->number(0xFF), $values->hex());
    }

    public function write(Packet $to): void
    {
        $to->u16($this->tag)->u8($this->algorithm)->u8($this->digestType)->bytes($this->digest);
    }

    public function __toString(): string
    {
        return "{$this->tag} {$this->algorithm} {$this->digestType} ".strtoupper(bin2hex($this->digest));
    }
}
