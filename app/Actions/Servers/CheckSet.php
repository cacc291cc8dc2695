<?php

declare(strict_types=1);

namespace App\Actions\Servers;

use Acre\Core\Delegation\ServerHost;
use Acre\Core\Delegation\ServerSet;
use Acre\Core\Delegation\ServersFinding;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use App\Outside\Dns\Dns;

/** Asks for the hosts of a set: whether each has an address, is an alias, and all are in one network. */
final readonly class CheckSet
{
    public function __construct(private Dns $dns)
    {
    }

    /** @return list<Finding> dearest first */
    public function findings(ServerSet $set): array
    {
        $found = $asked = [];
        $this->dns->addresses($set->hosts(), function (string $host, array $addresses, bool $isAlias) use (&$found, &$asked): void {
            $given = array_values(array_filter($addresses, is_string(...)));
            $asked[$host] = $given;
            if ($isAlias) {
                $found[] = Finding::of(ServersFinding::IsAlias, Effect::Stops, null, host: $host);
            } elseif ($given === []) {
                $found[] = Finding::of(ServersFinding::NoAddress, Effect::Stops, null, host: $host);
            }
        });
        // What was asked counts; what a letter said where nobody answered.
        $known = ServerSet::of(
            array_map(
                fn (ServerHost $server): ServerHost => ServerHost::of(
                    $server->host,
                    ($asked[$server->host] ?? []) === [] ? $server->addresses : $asked[$server->host],
                ),
                $set->servers,
            ),
        );

        return Finding::dearestFirst([...$found, ...$known->findings()]);
    }
}
