<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** The fingerprint of a machine's key (RFC 4255 §3.1). */
final readonly class Sshfp implements Data
{
    /** @param  string  $fingerprint  bytes */
    public function __construct(public int $algorithm, public int $kind, public string $fingerprint)
    {
    }

    public static function read(Octets $from, int $length): static
    {
        return new self($from->u8(), $from->u8(), $from->take($length - 2));
    }

    public static function parse(Values $values): static
    {
        return new self($values->number(0xFF), $values->number(0xFF), $values->hex());
    }

    public function write(Packet $to): void
    {
        $to->u8($this->algorithm)->u8($this->kind)->bytes($this->fingerprint);
    }

    public function __toString(): string
    {
        return "{$this->algorithm} {$this->kind} ".strtoupper(bin2hex($this->fingerprint));
    }
}
