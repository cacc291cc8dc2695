<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

use Acre\Core\Delegation\ServerSet;

/** Where pages of names are kept: who runs it, at which addresses it answers, and which name servers come with it. */
final readonly class Place
{
    /** Addresses that one place has at most: the house's own choice. */
    public const MOST = 20;

    /**
     * @param  list<string>  $addresses  in their shortest form
     * @param  ServerSet|null  $servers  null: it has none of its own
     */
    private function __construct(
        public string $name,
        public string $operator,
        public PlaceKind $kind,
        public array $addresses,
        public ?ServerSet $servers,
    ) {
    }

    /**
     * @param  list<string>  $addresses
     *
     * @throws HostingError
     */
    public static function of(string $name, string $operator, PlaceKind $kind, array $addresses, ?ServerSet $servers): self
    {
        return new self($name, $operator, $kind, array_values(array_unique(array_map(self::address(...), $addresses))), $servers);
    }

    /**
     * The shortest form of an address, so that the same is the same however it was written (RFC 5952).
     *
     * @throws HostingError
     */
    public static function address(string $given): string
    {
        $bytes = filter_var(trim($given), FILTER_VALIDATE_IP) === false ? false : inet_pton(trim($given));
        $address = $bytes === false ? false : inet_ntop($bytes);

        return $address === false ? throw HostingError::notAnAddress(mb_substr($given, 0, 100)) : $address;
    }

    public function runBy(): string
    {
        return $this->operator === '' ? $this->name : $this->operator;
    }

    /**
     * Whether these are addresses of it, and of nobody else. None are none of it.
     *
     * @param  list<string>  $addresses
     */
    public function isAt(array $addresses): bool
    {
        return $addresses !== [] && array_diff($addresses, $this->addresses) === [];
    }
}
