<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Delegation\ChangeSeen;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\ServerSeen;
use Acre\Core\Delegation\ServerSet;
use Acre\Core\Zone\SetWanted;
use App\Support\TradeClock;

/** What a name's present servers and other ones say of it. Used inside `Exchange::each`. */
final readonly class AskedChange
{
    public function __construct(private AskedDelegation $delegation, private AskedZone $zone, private TradeClock $clock)
    {
    }

    public function of(ChangeWanted $wanted): ChangeSeen
    {
        $name = $wanted->zone->name->ascii;
        $standing = $this->delegation->of($name);
        $before = $this->present($wanted->zone, $standing);
        $servers = $this->servers($name, $wanted->to);
        // What only the old ones are known to have is what may be lost.
        $after = $this->zone->of($name, $servers, $before->copy ?? $wanted->zone->known, $wanted->zone->giving);

        return new ChangeSeen(
            $standing,
            $before?->copy,
            $servers,
            $after?->copy,
            $standing->delegates,
            $after?->keys,
            $this->clock->now(),
        );
    }

    public function zone(ZoneWanted $wanted): ?ZoneAsked
    {
        return $this->present($wanted, $this->delegation->of($wanted->name->ascii));
    }

    /** @return array<string, bool> by host: whether it says all of it; one that does not answer says nothing */
    public function says(RecordsAsked $asked): array
    {
        $name = $asked->name->ascii;
        $sets = array_map(fn (SetWanted $set): array => [$set->at($name), $set->type], $asked->wanted->sets);
        $says = [];
        foreach ($this->delegation->of($name)->servers as $server) {
            $zone = $this->zone->some($name, $server, $sets);
            $says[$server->host] = ($says[$server->host] ?? true) && $zone !== null && $asked->wanted->isIn($zone);
        }

        return $says;
    }

    /** A name on hold is delegated to nobody, and its zone is still where it was. */
    private function present(ZoneWanted $wanted, DelegationSeen $standing): ?ZoneAsked
    {
        $name = $wanted->name->ascii;
        $servers = $standing->parent === [] ? $this->servers($name, $wanted->ours) : $standing->servers;

        return $this->zone->of($name, $servers, $wanted->known, $wanted->giving);
    }

    /** @return list<ServerSeen> */
    private function servers(string $name, ServerSet $set): array
    {
        $places = [];
        foreach ($set->servers as $server) {
            // What a letter says of a host elsewhere is only a hint: the world asks the host's own zone.
            array_push($places, ...$this->delegation->places($server->host, $server->isWithin($name) ? $server->addresses : []));
        }

        return $this->delegation->servers($name, $places);
    }
}
