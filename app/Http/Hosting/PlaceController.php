<?php

declare(strict_types=1);

namespace App\Http\Hosting;

use App\Actions\Hosting\ReadSitesTyped;
use App\Actions\Hosting\SaveSite;
use App\Actions\SaveRow;
use App\Http\SignedInRequest;
use App\Jobs\LookAtSitesDue;
use App\Models\NamedPlace;
use App\Models\NamedSet;
use App\Queries\Hosting\PlaceCounted;
use App\Queries\Hosting\ReadPlaces;
use App\Queries\Hosting\ReadSites;
use App\View\SiteInWords;
use App\View\Words;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** Places where pages of names are kept, and which are. */
final readonly class PlaceController
{
    /** Refused lines that are told one by one. */
    private const TOLD = 50;

    public function __construct(private ReadPlaces $places, private ReadSites $sites, private SiteInWords $told, private Words $words)
    {
    }

    public function index(): View
    {
        return view('hosting.places', [
            'places' => NamedPlace::query()->with('servers')->orderBy('name')->limit(1_000)->get(),
            'counted' => $this->places->counted(),
        ]);
    }

    public function show(NamedPlace $place, SignedInRequest $request): View
    {
        $isAmiss = $request->word('amiss') === '1';
        $page = $this->places->at($place, $isAmiss);
        // What is wrong comes first, before the first page of what is not.
        $amiss = $isAmiss || $page->previousCursor() !== null ? null : $this->places->at($place, true);

        return view('hosting.place', [
            'place' => $place->load('servers'),
            'isAmiss' => $isAmiss,
            'amiss' => $amiss === null ? [] : $this->sites->read(new Collection($amiss->items())),
            'count' => $this->places->counted($place->id)[$place->id] ?? new PlaceCounted(0, 0),
            'page' => $page,
            'sites' => $this->sites->read(new Collection($page->items())),
            'told' => $this->told,
            'words' => $this->words,
        ]);
    }

    /** All its hosts, by the job that looks at what is due. */
    public function ask(NamedPlace $place, SaveSite $sites): RedirectResponse
    {
        $sites->ofPlace($place);
        LookAtSitesDue::dispatch();

        return to_route('places.show', $place)->with('told', $this->words->say('hosting.place.asked'));
    }

    public function create(): View
    {
        return $this->form(new NamedPlace());
    }

    public function store(PlaceRequest $request, SaveRow $save): RedirectResponse
    {
        $place = $save->handle($request->person(), new NamedPlace(), $request->columns(), null);

        return to_route('places.show', $place)->with('told', __('forms.saved', ['what' => $place->name]));
    }

    public function edit(NamedPlace $place): View
    {
        return $this->form($place);
    }

    public function update(NamedPlace $place, PlaceRequest $request, SaveRow $save, SaveSite $sites): RedirectResponse
    {
        $save->handle($request->person(), $place, $request->columns(), $request->integer('version'));
        $sites->ofPlace($place);

        return to_route('places.show', $place)->with('told', __('forms.saved', ['what' => $request->word('name')]));
    }

    /** Hosts from a pasted list; what is refused comes back into the form. */
    public function add(NamedPlace $place, SitesRequest $request, ReadSitesTyped $read, SaveSite $save): RedirectResponse
    {
        [$typed, $refused] = $read->handle($request->word('hosts'));
        $save->at($request->person(), $place, $typed);

        return to_route('places.show', $place)
            ->with('told', $typed === [] ? null : $this->words->count('hosting.place.added', count($typed)))
            ->with('refused', array_map(
                fn (array $one): string => mb_substr($one[0], 0, 200).': '.$this->words->say("hosting.place.refused.{$one[1]}"),
                array_slice($refused, 0, self::TOLD),
            ))
            ->withInput(['hosts' => implode("\n", array_column($refused, 0))]);
    }

    private function form(NamedPlace $place): View
    {
        return view('hosting.form', [
            'place' => $place,
            'sets' => NamedSet::query()->orderBy('name')->limit(1_000)->pluck('name', 'id')->all(),
        ]);
    }
}
