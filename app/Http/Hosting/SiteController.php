<?php

declare(strict_types=1);

namespace App\Http\Hosting;

use App\Actions\Hosting\LookAtSites;
use App\Actions\Hosting\SaveSite;
use App\Http\SignedInRequest;
use App\Models\Name;
use App\Models\NamedPlace;
use App\Models\NameSite;
use App\Queries\Hosting\ReadSites;
use App\Queries\Hosting\SiteRead;
use App\View\SiteInWords;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** What visitors find at the hosts of a name: pages, redirects, certificates. */
final readonly class SiteController
{
    public function __construct(private ReadSites $sites, private SiteInWords $told, private Words $words)
    {
    }

    public function index(Name $name, SignedInRequest $request): View
    {
        $sites = $this->sites->ofName($name);
        $label = $request->word('host');
        $chosen = array_filter($sites, fn (SiteRead $one): bool => $one->site->label === ($label === '@' ? '' : $label));

        return view('hosting.sites', [
            'name' => $name,
            'sites' => $sites,
            'label' => $label === '@' ? '' : mb_substr($label, 0, 200),
            'chosen' => $label === '' ? null : array_shift($chosen),
            'unsaid' => $this->sites->unsaid($name, $sites),
            'places' => NamedPlace::query()->orderBy('name')->limit(1_000)->pluck('name', 'id')->all(),
            'told' => $this->told,
            'words' => $this->words,
        ]);
    }

    public function ask(Name $name, LookAtSites $look): RedirectResponse
    {
        $look->of($name->id);

        return to_route('names.sites', $name);
    }

    public function store(Name $name, SiteRequest $request, SaveSite $save): RedirectResponse
    {
        $version = $request->filled('version') ? $request->integer('version') : null;
        $site = $save->handle($request->person(), $name, $request->label(), $request->columns(), $version);

        return to_route('names.sites', $name)->with('told', __('forms.saved', ['what' => $this->told->host($site, $name)]));
    }

    public function destroy(Name $name, NameSite $site, SignedInRequest $request, SaveSite $save): RedirectResponse
    {
        $save->remove($request->person(), $site);

        return to_route('names.sites', $name)->with('told', __('hosting.site.removed', ['host' => $this->told->host($site, $name)]));
    }
}
