<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;

/** The name servers that a name is to get, in the operator's order. */
final readonly class ServerSet
{
    /** RFC 1034 §4.1 wants two by fiat; RFC 2182 §5 gives the reasons. */
    public const LEAST = 2;

    /** What registries commonly take: common practice. */
    public const MOST = 13;

    /** @param  list<ServerHost>  $servers  each host once */
    private function __construct(public array $servers)
    {
    }

    /** @param  list<ServerHost>  $servers  of a host that stands twice the first counts */
    public static function of(array $servers): self
    {
        $once = [];
        foreach ($servers as $server) {
            $once[$server->host] ??= $server;
        }

        return new self(array_values($once));
    }

    /**
     * @param  list<string>  $hosts  A-labels
     *
     * @throws NameError when one can't be a host
     */
    public static function ofHosts(array $hosts): self
    {
        return self::of(array_map(fn (string $host): ServerHost => ServerHost::of($host), $hosts));
    }

    /** @return list<string> */
    public function hosts(): array
    {
        return array_map(fn (ServerHost $server): string => $server->host, $this->servers);
    }

    /** @param  list<string>  $hosts  in any order */
    public function isExactly(array $hosts): bool
    {
        $mine = $this->hosts();
        sort($mine);
        sort($hosts);

        return $mine === $hosts;
    }

    /**
     * What can be said before anybody is asked.
     *
     * @param  DomainName|null  $name  that is to get them; null: any
     * @return list<Finding>
     */
    public function findings(?DomainName $name = null): array
    {
        $count = count($this->servers);
        $found = [];
        if ($count < self::LEAST) {
            $found[] = Finding::of(ServersFinding::TooFew, Effect::Stops);
        }
        if ($count > self::MOST) {
            $found[] = Finding::of(ServersFinding::TooMany, Effect::Stops, null, count: $count);
        }
        foreach ($this->servers as $server) {
            // Found by nobody without its address at the parent (RFC 9471).
            if ($name !== null && $server->isWithin($name->ascii) && $server->addresses === []) {
                $found[] = Finding::of(ServersFinding::NeedsGlue, Effect::Stops, null, host: $server->host);
            }
        }
        $addresses = array_merge(...array_map(fn (ServerHost $server): array => $server->addresses, $this->servers));
        $network = count($addresses) < 2 ? null : Networks::shared($addresses);
        if ($network !== null) {
            $found[] = Finding::of(ServersFinding::OneNetwork, Effect::Worth, null, network: $network);
        }

        return $found;
    }
}
