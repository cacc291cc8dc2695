<?php

declare(strict_types=1);

namespace App\Queries\Hosting;

use App\Models\NamedPlace;
use App\Models\NameSite;
use App\Support\Row;
use Illuminate\Contracts\Pagination\CursorPaginator;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Builder;

/** Places, the hosts that belong at each, and where hosts are sent. */
final readonly class ReadPlaces
{
    private const PAGE = 50;

    /** Targets that are counted. */
    private const TARGETS = 200;

    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  int|null  $placeId  null: all of them
     * @return array<int, PlaceCounted> by place
     */
    public function counted(?int $placeId = null): array
    {
        $found = [];
        foreach (
            Row::all($this->database->select(
                'SELECT s.place_id, count(*) AS hosts, count(*) FILTER (WHERE EXISTS (
                    SELECT FROM site_faults f WHERE f.site_id = s.id)) AS amiss
                 FROM sites s WHERE '.($placeId === null ? 's.place_id IS NOT NULL' : 's.place_id = ?').' GROUP BY s.place_id',
                $placeId === null ? [] : [$placeId],
            )) as $row
        ) {
            $found[$row->int('place_id')] = new PlaceCounted($row->int('hosts'), $row->int('amiss'));
        }

        return $found;
    }

    /**
     * @param  bool  $isAmiss  those with problems, or all others
     * @return CursorPaginator<int, NameSite> the hosts that belong at a place
     */
    public function at(NamedPlace $place, bool $isAmiss): CursorPaginator
    {
        return NameSite::query()
            ->with(['name', 'place.servers'])
            ->where('place_id', $place->id)
            ->whereRaw(($isAmiss ? '' : 'NOT ').'EXISTS (SELECT FROM site_faults f WHERE f.site_id = sites.id)')
            ->orderBy('id')
            ->cursorPaginate(self::PAGE)
            ->withQueryString();
    }

    /** @return array<string, PlaceCounted> how many hosts are to lead there, by target, those with most first */
    public function targets(): array
    {
        $found = [];
        foreach (
            Row::all($this->database->select(
                'SELECT s.target, count(*) AS hosts, count(*) FILTER (WHERE EXISTS (
                    SELECT FROM site_faults f WHERE f.site_id = s.id)) AS amiss
                 FROM sites s WHERE s.target IS NOT NULL GROUP BY s.target ORDER BY hosts DESC, s.target LIMIT ?',
                [self::TARGETS],
            )) as $row
        ) {
            $found[$row->text('target')] = new PlaceCounted($row->int('hosts'), $row->int('amiss'));
        }

        return $found;
    }

    /**
     * @param  string  $target  empty: any
     * @return CursorPaginator<int, NameSite> hosts that are to lead elsewhere
     */
    public function redirects(string $target): CursorPaginator
    {
        return NameSite::query()
            ->with(['name', 'place.servers'])
            ->whereNotNull('target')
            ->when($target !== '', fn (Builder $query) => $query->where('target', $target))
            ->orderBy('id')
            ->cursorPaginate(self::PAGE)
            ->withQueryString();
    }
}
