<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

use Acre\Core\Zone\EntrySet;
use Acre\Core\Zone\Service;
use Acre\Core\Zone\ZoneCopy;

/**
 * The least that brings a host to its place, and that breaks nothing else (common practice): at whoever runs both; by other name servers
 * where nothing but pages hangs on the present ones; by the records of pages alone where mail or anything else does.
 */
final readonly class ShortestCure
{
    /** @param  list<string>  $records  as zone files write them, of hosts relative to the zone; `- www CNAME` goes */
    private function __construct(public Way $way, public array $records)
    {
    }

    /**
     * @param  list<string>  $servers  that the registry has; none: it has none
     * @param  ZoneCopy|null  $zone  the newest copy; null: nobody knows what hangs on it
     */
    public static function of(Site $site, array $servers, ?ZoneCopy $zone): self
    {
        $place = $site->place;
        $records = $place === null ? [] : self::records($site, $place, $zone);
        $own = $place?->servers;

        return new self(
            match (true) {
                $own?->isExactly($servers) === true => Way::AtPlace,
                $servers === [], $own !== null && $zone !== null && self::hasOnlyPages($zone) => Way::Servers,
                default => Way::Records,
            },
            $records,
        );
    }

    private static function hasOnlyPages(ZoneCopy $zone): bool
    {
        $others = array_filter($zone->sets, function (EntrySet $set) use ($zone): bool {
            $service = Service::of($zone->zone, $set->host, $set->type, implode(' ', $set->data));

            return $service !== Service::Web && $service !== Service::Delegation;
        });

        return $others === [] && $zone->unread === [];
    }

    /** @return list<string> */
    private static function records(Site $site, Place $place, ?ZoneCopy $zone): array
    {
        $alias = $zone->sets["{$site->host()} CNAME"]->data[0] ?? null;
        // What follows the name itself goes where the name goes.
        $label = $alias === "{$site->zone}." ? '' : $site->label;
        $host = $label === '' ? '@' : $label;
        $lines = $alias !== null && $label !== '' ? ["- {$host} CNAME"] : [];
        $lacks = ['A' => true, 'AAAA' => true];
        foreach ($place->addresses as $address) {
            $type = str_contains($address, ':') ? 'AAAA' : 'A';
            $lines[] = "{$host} {$type} {$address}";
            unset($lacks[$type]);
        }
        foreach (array_keys($lacks) as $type) {
            // An address of the other kind would still lead elsewhere.
            if (isset($zone->sets[($label === '' ? $site->zone : $site->host())." {$type}"])) {
                $lines[] = "- {$host} {$type}";
            }
        }

        return $lines;
    }
}
