<?php

declare(strict_types=1);

namespace App\Http\Hosting;

use Acre\Core\Hosting\WebAddress;
use App\Http\SignedInRequest;
use App\Queries\Hosting\ReadPlaces;
use App\Queries\Hosting\ReadSites;
use App\View\SiteInWords;
use App\View\Words;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\View\View;

/** Hosts that lead elsewhere, over the whole Roll. */
final readonly class RedirectController
{
    public function __construct(private ReadPlaces $places, private ReadSites $sites, private SiteInWords $told, private Words $words)
    {
    }

    public function index(SignedInRequest $request): View
    {
        $target = mb_substr($request->word('to'), 0, WebAddress::LONGEST);
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
}
