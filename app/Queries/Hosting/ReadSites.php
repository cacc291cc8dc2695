<?php

declare(strict_types=1);

namespace App\Queries\Hosting;

use Acre\Core\Hosting\SiteJudged;
use Acre\Core\Zone\EntrySet;
use Acre\Core\Zone\ZoneCopy;
use App\Actions\Servers\ZoneCopies;
use App\Models\Name;
use App\Models\NamedPlace;
use App\Models\NameSite;
use App\Outside\Web\PackedSite;
use App\Queries\Servers\ServersOnRecord;
use App\Support\TradeClock;
use Illuminate\Database\Eloquent\Collection;

/** What visitors should find at hosts of names, and what was found when they were last asked. */
final readonly class ReadSites
{
    /** Hosts of one name that are shown. */
    private const MOST = 200;

    public function __construct(private ServersOnRecord $servers, private ZoneCopies $copies, private TradeClock $clock)
    {
    }

    /** @return list<SiteRead> the name itself first */
    public function ofName(Name $name): array
    {
        return $this->read(
            NameSite::query()
                ->with(['name', 'place.servers', 'docket'])
                ->where('name_id', $name->id)
                ->orderBy('label')
                ->limit(self::MOST)
                ->get(),
        );
    }

    /**
     * @param  Collection<int, NameSite>  $sites
     * @return list<SiteRead>
     */
    public function read(Collection $sites): array
    {
        if ($sites->isEmpty()) {
            return [];
        }
        $ids = array_values(array_unique($sites->map(fn (NameSite $site): int => $site->name_id)->all()));
        $zones = $this->copies->newest($ids);
        $servers = $this->servers->of($ids);
        $read = [];
        foreach ($sites as $site) {
            $seen = $site->body === null ? null : PackedSite::unpack($site->body);
            $judged = $seen === null
                ? null
                : SiteJudged::of($site->value(), $seen, $servers[$site->name_id] ?? [], $zones[$site->name_id] ?? null);
            $read[] = new SiteRead($site, $seen, $judged?->findings($this->clock->now()) ?? [], $judged?->cure);
        }

        return $read;
    }

    /**
     * @param  list<int>  $lineIds  of dockets
     * @return array<int, list<SiteRead>> what they are having changed, by line
     */
    public function ofLines(array $lineIds): array
    {
        $found = [];
        $sites = NameSite::query()->with(['name', 'place.servers'])->whereIn('docket_line_id', $lineIds)->orderBy('label')->get();
        foreach ($this->read($sites) as $read) {
            $found[(int) $read->site->docket_line_id][] = $read;
        }

        return $found;
    }

    /**
     * Hosts that its kept zone has addresses or aliases of, without those that are recorded already.
     *
     * @param  list<SiteRead>  $known
     * @return list<HostUnsaid>
     */
    public function unsaid(Name $name, array $known): array
    {
        $zone = $this->copies->newest([$name->id])[$name->id] ?? null;
        if ($zone === null) {
            return [];
        }
        $labels = array_map(fn (SiteRead $one): string => $one->site->label, $known);
        $places = NamedPlace::query()->with('servers')->orderBy('id')->limit(1_000)->get();
        $found = [];
        foreach ($zone->sets as $set) {
            $label = $set->host === $name->ascii ? '' : substr($set->host, 0, -strlen(".{$name->ascii}"));
            $isOfPages = in_array($set->type, ['A', 'AAAA', 'CNAME'], true) && ! str_starts_with($label, '*');
            if ($isOfPages && preg_match(NameSite::LABEL, $label) === 1 && ! in_array($label, $labels, true)) {
                $found[$label] ??= new HostUnsaid($label, $set->host, implode(', ', $set->data), self::place($set, $zone, $places));
            }
        }
        ksort($found);

        return array_slice(array_values($found), 0, self::MOST);
    }

    /** @param  Collection<int, NamedPlace>  $places */
    private static function place(EntrySet $set, ZoneCopy $zone, Collection $places): ?int
    {
        // One that follows another host of the zone is where that is.
        $set = $set->type === 'CNAME' ? $zone->sets[rtrim($set->data[0], '.').' A'] ?? $set : $set;
        $at = $places->filter(fn (NamedPlace $place): bool => $place->value()->isAt($set->data));

        return $at->count() === 1 ? $at->first()?->id : null;
    }
}
