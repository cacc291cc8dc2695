<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** The certificate that a service should show (RFC 6698 §2.1). */
final readonly class Tlsa implements Data
{
    /** @param  string  $certificate  bytes: it, its key, or a digest of one */
    public function __construct(public int $usage, public int $selector, public int $matching, public string $certificate)
    {
    }

    public static function read(Octets $from, int $length): static
    {
        return new self($from->u8(), $from->u8(), $from->u8(), $from->take($length - 3));
    }

    public static function parse(Values $values): static
    {
        return new self($values->number(0xFF), $values->number(0xFF), $values->number(0xFF), $values->hex());
    }

    public function write(Packet $to): void
    {
        $to->u8($this->usage)->u8($this->selector)->u8($this->matching)->bytes($this->certificate);
    }

    public function __toString(): string
    {
        return "{$this->usage} {$this->selector} {$this->matching} ".strtoupper(bin2hex($this->certificate));
    }
}
