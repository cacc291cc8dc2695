<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** An address of IPv4 (RFC 1035 §3.4.1). */
final readonly class A implements Data
{
    private function __construct(public string $address)
    {
    }

    /** @throws DnsError */
    public static function of(string $address): self
    {
        return filter_var($address, FILTER_VALIDATE_IP, FILTER_FLAG_IPV4) === false
            ? throw DnsError::field($address, 'an IPv4 address')
            : new self($address);
    }

    public static function read(Octets $from, int $length): static
    {
        return new self((string) inet_ntop($from->take(4)));
    }

    public static function parse(Values $values): static
    {
        return self::of($values->text('an address'));
    }

    public function write(Packet $to): void
    {
        $to->bytes((string) inet_pton($this->address));
    }

    public function __toString(): string
    {
        return $this->address;
    }
}
