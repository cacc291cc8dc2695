<?php

declare(strict_types=1);

namespace App\Http\Hosting;

use Acre\Core\Hosting\WebAddress;
use App\Actions\Hosting\SaveSite;
use App\Http\SignedInRequest;
use App\Jobs\LookAtSitesDue;
use App\Queries\Hosting\ReadPlaces;
use App\Queries\Hosting\ReadSites;
use App\View\SiteInWords;
use App\View\Words;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** Hosts that lead elsewhere, over the whole Roll. */
final readonly class RedirectController
{
    public function __construct(private ReadPlaces $places, private ReadSites $sites, private SiteInWords $told, private Words $words)
    {
    }

    public function index(SignedInRequest $request): View
    {
        $target = $this->target($request);
        $page = $this->places->redirects($target);

        return view('hosting.redirects', [
            'target' => $target,
            'targets' => $this->places->targets(),
            'page' => $page,
            'sites' => $this->sites->read(new Collection($page->items())),
            'told' => $this->told,
            'words' => $this->words,
        ]);
    }

    /** All of one target, or all, by the job that looks at what is due. */
    public function ask(SignedInRequest $request, SaveSite $sites): RedirectResponse
    {
        $target = $this->target($request);
        $sites->ofRedirects($target);
        LookAtSitesDue::dispatch();

        return to_route('redirects.index', $target === '' ? [] : ['to' => $target])
            ->with('told', $this->words->say('hosting.redirects.asked'));
    }

    /** @return string empty: all */
    private function target(SignedInRequest $request): string
    {
        return mb_substr($request->word('to'), 0, WebAddress::LONGEST);
    }
}
