<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** Who may issue certificates (RFC 8659 §4). */
final readonly class Caa implements Data
{
    public function __construct(public int $flags, public string $tag, public string $value)
    {
    }

    public static function read(Octets $from, int $length): static
    {
        $end = $from->at + $length;

        return new self($from->u8(), $from->string(), $from->take($end - $from->at));
    }

    public static function parse(Values $values): static
    {
        $flags = $values->number(0xFF);
        $tag = $values->text('a tag');

        return ctype_alnum($tag) && strlen($tag) <= 255
            ? new self($flags, $tag, $values->longString())
            : throw DnsError::field($tag, 'a tag of letters and digits');
    }

    public function write(Packet $to): void
    {
        $to->u8($this->flags)->string($this->tag)->bytes($this->value);
    }

    public function __toString(): string
    {
        return "{$this->flags} {$this->tag} ".Values::quoted($this->value);
    }
}
