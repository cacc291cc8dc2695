<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;

/** Records that are to be changed, in however many zones: what that makes of one of them. */
final readonly class RecordsWanted
{
    /** Changed by deeds of their own, at the registrar. */
    private const OF_SERVERS = ['SOA', 'NS', 'DNSKEY', 'DS', 'CDS', 'CDNSKEY'];

    /** @param  list<SetWanted>  $sets  each host and type once */
    public function __construct(public array $sets)
    {
    }

    /** The zone as it is to be. */
    public function applied(ZoneCopy $zone): ZoneCopy
    {
        $entries = $zone->without(array_map(fn (SetWanted $set): string => $set->key($zone->zone), $this->sets))->entries();
        foreach ($this->sets as $set) {
            $ttl = $set->ttl ?? $zone->sets[$set->key($zone->zone)]->ttl ?? 3_600;
            foreach ($set->data as $data) {
                $entries[] = new Entry($set->at($zone->zone), $set->type, $ttl, $data);
            }
        }

        return ZoneCopy::of($zone->zone, $entries, $zone->unread);
    }

    /** Whether the zone says all of it already, however long answers may be kept. */
    public function isIn(ZoneCopy $zone): bool
    {
        return array_filter(
            Comparison::of($zone, $this->applied($zone))->differences,
            fn (Difference $one): bool => $one->kind() !== DifferenceKind::OtherTime,
        ) === [];
    }

    /**
     * @param  ZoneCopy|null  $zone  the newest copy; null: there is none
     * @return list<Finding> dearest first
     */
    public function findings(?ZoneCopy $zone): array
    {
        if ($zone === null) {
            return [Finding::of(RecordsFinding::NoCopy, Effect::NotKnown)];
        }
        $found = [];
        $isOfServers = fn (SetWanted $set): bool => $set->host === '' && in_array($set->type, self::OF_SERVERS, true);
        $servers = array_filter($this->sets, $isOfServers);
        if ($servers !== []) {
            $records = implode(', ', array_map(fn (SetWanted $set): string => $set->type, $servers));
            $found[] = Finding::of(RecordsFinding::OfServers, Effect::Stops, null, records: $records);
        }
        $after = $this->applied($zone);
        foreach (self::aliasesBesideOthers($after) as $host) {
            $found[] = Finding::of(RecordsFinding::AliasBesideOthers, Effect::Stops, null, host: $host);
        }
        $gone = [];
        foreach (Comparison::of($zone, $after)->differences as $difference) {
            // Another address of pages is what is usually meant.
            if ($difference->kind() === DifferenceKind::Gone || ($difference->isLoss() && $difference->service() !== Service::Web)) {
                $gone[$difference->service()->value][] = $difference->label();
            }
        }
        foreach ($gone as $service => $records) {
            $found[] = Finding::of(RecordsFinding::Breaks, Effect::Worth, null, service: $service, records: implode(', ', $records));
        }

        return Finding::dearestFirst($found);
    }

    /** @return list<string> hosts */
    private static function aliasesBesideOthers(ZoneCopy $zone): array
    {
        $types = [];
        foreach ($zone->sets as $set) {
            $types[$set->host][] = $set->type;
        }

        return array_values(array_filter(
            array_map(strval(...), array_keys($types)),
            fn (string $host): bool => in_array('CNAME', $types[$host], true) && count($types[$host]) > 1,
        ));
    }
}
