<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;

/** Names whose servers lie under other names of the house: those end, or serve each other in a ring (RFC 1034 §4.2.1). */
final readonly class Dependence
{
    /**
     * @param  array<string, list<string>>  $servers  hosts of each name of the house that matters here; what is not there is somebody
     *     else's
     * @param  array<string, Instant>  $ending  when those end that nobody keeps
     */
    public function __construct(private array $servers, private array $ending)
    {
    }

    /**
     * The registered names under which hosts lie.
     *
     * @param  list<string>  $hosts  A-labels
     * @return list<string>
     */
    public static function names(array $hosts): array
    {
        return array_values(array_unique(array_map(fn (string $host): string => DomainName::of($host)->registrable()->ascii, $hosts)));
    }

    /** @return list<Finding> */
    public function of(string $name): array
    {
        $found = [];
        foreach ($this->servers[$name] ?? [] as $host) {
            $under = self::names([$host])[0];
            if ($under !== $name && isset($this->ending[$under])) {
                $found[] = Finding::of(
                    DelegationFinding::ServerEnds,
                    Effect::Worth,
                    null,
                    host: $host,
                    name: $under,
                    until: $this->ending[$under],
                );
            }
        }
        if (($this->servers[$name] ?? []) !== [] && ! $this->isAnchored($name, [])) {
            $others = array_diff(self::names($this->servers[$name]), [$name]);
            $found[] = Finding::of(DelegationFinding::ServersInRing, Effect::Worth, null, names: implode(', ', $others));
        }

        return $found;
    }

    /**
     * Whether one of its servers can be found without asking for the name itself.
     *
     * @param  list<string>  $within  names that are being looked for
     */
    private function isAnchored(string $name, array $within): bool
    {
        foreach ($this->servers[$name] ?? [] as $host) {
            $under = self::names([$host])[0];
            // Inside the name its address stands at the registry; elsewhere it is somebody else's.
            if ($under === $name || ! isset($this->servers[$under])) {
                return true;
            }
            if (! in_array($under, [...$within, $name], true) && $this->isAnchored($under, [...$within, $name])) {
                return true;
            }
        }

        return false;
    }
}
