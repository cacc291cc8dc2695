<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppWriter;

/** Addresses of a host, told apart as the protocol wants it (RFC 5732 §2.5). */
final readonly class HostAddresses
{
    /** @param  list<string>  $addresses  of either kind */
    public function __construct(private array $addresses)
    {
    }

    public function isEmpty(): bool
    {
        return $this->addresses === [];
    }

    public function write(EppWriter $to): void
    {
        foreach ($this->addresses as $address) {
            $to->text('host:addr', $address, ['ip' => str_contains($address, ':') ? 'v6' : 'v4']);
        }
    }
}
