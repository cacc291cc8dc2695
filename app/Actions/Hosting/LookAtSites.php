<?php

declare(strict_types=1);

namespace App\Actions\Hosting;

use Acre\Core\Hosting\SiteJudged;
use Acre\Core\Hosting\SiteSeen;
use Acre\Core\Time\Instant;
use App\Actions\Servers\ZoneCopies;
use App\Models\NameSite;
use App\Outside\Web\SiteAsked;
use App\Outside\Web\Web;
use App\Queries\Servers\ServersOnRecord;
use App\Support\TradeClock;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Collection;
use RuntimeException;

/** Asks what hosts of names answer, and keeps each answer as it comes, so that a slow one holds up nobody else. */
final readonly class LookAtSites
{
    /** Hosts that are asked about together. */
    private const TOGETHER = 50;

    /** Seconds after which one that could not be asked about at all is tried again. */
    private const AGAIN = 3_600;

    /** Of names on the Roll. */
    private const DUE = 'next_look <= ?::timestamptz AND EXISTS (SELECT FROM standings s WHERE s.name_id = sites.name_id)';

    public function __construct(
        private Web $web,
        private KeepSite $keep,
        private ZoneCopies $copies,
        private ServersOnRecord $servers,
        private ExceptionHandler $handler,
        private TradeClock $clock,
    ) {
    }

    /**
     * Those whose turn it is, the longest waiting first, until none is left or the time is over.
     *
     * @param  int  $seconds  after which nothing further is begun
     */
    public function due(int $seconds): void
    {
        $until = hrtime(true) / 1e9 + $seconds;
        while (hrtime(true) / 1e9 < $until) {
            $sites = NameSite::query()
                ->with(['name', 'place.servers'])
                ->whereRaw(self::DUE, [$this->clock->now()->isoSecond()])
                ->orderBy('next_look')
                ->orderBy('id')
                ->limit(self::TOGETHER)
                ->get();
            if ($sites->isEmpty()) {
                return;
            }
            try {
                $this->ask($sites);
            } catch (RuntimeException $e) {
                $this->handler->report($e);
                $this->oneByOne($sites);
            }
        }
    }

    public static function areDue(Connection $database, Instant $now): bool
    {
        return $database->scalar('SELECT EXISTS (SELECT FROM sites WHERE '.self::DUE.')', [$now->isoSecond()]) === true;
    }

    /** All hosts of a name, while somebody waits. */
    public function of(int $nameId): void
    {
        $this->ask(NameSite::query()->with(['name', 'place.servers'])->where('name_id', $nameId)->limit(self::TOGETHER)->get());
    }

    /** @param  Collection<int, NameSite>  $sites */
    private function ask(Collection $sites): void
    {
        $ids = array_values(array_unique($sites->map(fn (NameSite $site): int => $site->name_id)->all()));
        $zones = $this->copies->newest($ids);
        $servers = $this->servers->of($ids);
        $byId = $asked = [];
        foreach ($sites as $site) {
            $byId[$site->id] = $site;
            $asked[] = new SiteAsked($site->id, $site->value()->host(), $site->target !== null);
        }
        $this->web->look($asked, function (SiteAsked $one, SiteSeen $seen) use ($byId, $zones, $servers): void {
            $site = $byId[$one->key];
            $judged = SiteJudged::of($site->value(), $seen, $servers[$site->name_id] ?? [], $zones[$site->name_id] ?? null);
            $this->keep->handle($site, $seen, $judged, $seen->at);
        });
    }

    /**
     * One that can't be asked about keeps no other from being asked.
     *
     * @param  Collection<int, NameSite>  $sites
     */
    private function oneByOne(Collection $sites): void
    {
        foreach ($sites as $site) {
            try {
                $this->ask(new Collection([$site]));
            } catch (RuntimeException $e) {
                $this->handler->report($e);
                NameSite::query()
                    ->whereKey($site->id)
                    ->update(['next_look' => $this->clock->now()->plusSeconds(self::AGAIN)->isoSecond()]);
            }
        }
    }
}
