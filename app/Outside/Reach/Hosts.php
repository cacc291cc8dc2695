<?php

declare(strict_types=1);

namespace App\Outside\Reach;

use Symfony\Component\HttpFoundation\IpUtils;

/** The hosts that may be asked by RDAP, EPP, SMTP and HTTP, and where each is dialled; and which addresses DNS may ask. */
final readonly class Hosts
{
    /**
     * @param  array<string, string|null>  $listed  host in small letters => `address:port` where it is dialled instead of where it resolves
     *     to
     * @param  array<string, string>  $networks  beginnings of addresses => what is dialled instead; only a simulation has any
     * @param  list<string>  $web  addresses and networks (`192.0.2.0/24`) of web servers that may be asked
     * @param  array<int, int>  $webPorts  those of the web => which is dialled instead
     */
    public function __construct(
        private array $listed,
        private array $networks = [],
        private array $web = [],
        private array $webPorts = [80 => 80, 443 => 443],
    ) {
    }

    public function isListed(string $host): bool
    {
        return array_key_exists(strtolower($host), $this->listed);
    }

    /**
     * Where a listed host is dialled: judged here and pinned, so that what was judged is what is dialled.
     *
     * @return array{string, int} address and port
     *
     * @throws NotReached
     */
    public function dial(string $host, int $port): array
    {
        $host = strtolower($host);
        if (! $this->isListed($host)) {
            throw NotReached::notListed($host);
        }
        $instead = $this->listed[$host];
        if ($instead !== null) {
            $colon = (int) strrpos($instead, ':');

            return [substr($instead, 0, $colon), (int) substr($instead, $colon + 1)];
        }
        $addresses = gethostbynamel($host);
        $address = $addresses === false ? null : $addresses[0] ?? null;
        if ($address === null) {
            throw NotReached::noAddress($host);
        }

        return self::isPublic($address) ? [$address, $port] : throw NotReached::notPublic($host, $address);
    }

    /** The address that is dialled to ask the name server at this one; null: it may not be asked. */
    public function nameServer(string $address): ?string
    {
        foreach ($this->networks as $there => $here) {
            if (str_starts_with($address, $there)) {
                return $here.substr($address, strlen($there));
            }
        }

        return self::isPublic($address) ? $address : null;
    }

    /**
     * Where the web server at an address is dialled. One that is listed by itself may be of one's own network; of a listed network only
     * public ones are.
     *
     * @return array{string, int}|null address and port; null: it may not be asked
     */
    public function web(string $address, int $port): ?array
    {
        $dialled = $this->webPorts[$port] ?? null;
        if ($dialled === null || ! IpUtils::checkIp($address, $this->web)) {
            return null;
        }
        $there = in_array($address, $this->web, true) ? $address : null;
        $address = $this->nameServer($address) ?? $there;

        return $address === null ? null : [$address, $dialled];
    }

    /**
     * Whether no special-purpose range has it (RFC 6890 and its registries, as PHP knows them), it is nobody's group (multicast, RFC
     * 5771) but in version 6 of what IANA gives out (2000::/3, RFC 4291 §2.4), and no other address is carried in it (6to4, RFC 3056;
     * Teredo, RFC 4380), which would be dialled in its place; NAT64 and mapped addresses aren't in 2000::/3.
     */
    public static function isPublic(string $address): bool
    {
        if (filter_var($address, FILTER_VALIDATE_IP, FILTER_FLAG_GLOBAL_RANGE) === false) {
            return false;
        }
        $bytes = (string) inet_pton($address);
        if (strlen($bytes) === 4) {
            return ord($bytes[0]) < 224;
        }

        return ord($bytes[0]) >> 5 === 1 && ! str_starts_with($bytes, "\x20\x02") && ! str_starts_with($bytes, "\x20\x01\0\0");
    }
}
