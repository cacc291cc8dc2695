<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;

/** A name server as its operator gives it: its host name, and addresses where they were said. */
final readonly class ServerHost
{
    /** @param  list<string>  $addresses  IPv4 and IPv6, each once */
    private function __construct(public string $host, public array $addresses)
    {
    }

    /**
     * @param  string  $host  as it was typed
     * @param  list<string>  $addresses
     *
     * @throws NameError when it can't be a host
     */
    public static function of(string $host, array $addresses = []): self
    {
        return new self(DomainName::of($host)->ascii, array_values(array_unique($addresses)));
    }

    public function isWithin(string $name): bool
    {
        return $this->host === $name || str_ends_with($this->host, ".{$name}");
    }

    /** Whose it is, as far as its name says: the registered name that it lies under. */
    public function operator(): string
    {
        return DomainName::of($this->host)->registrable()->unicode;
    }
}
