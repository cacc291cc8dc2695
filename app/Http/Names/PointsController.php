<?php

declare(strict_types=1);

namespace App\Http\Names;

use App\Actions\Outside\LookAtServers;
use App\Actions\Registrar\ChangeServers;
use App\Actions\Servers\AskServers;
use App\Http\SignedInRequest;
use App\Models\Name;
use App\Models\NamedSet;
use App\Queries\Servers\ReadPoints;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\View\View;

/** Where a name points: what registry and servers say, and what another set of servers would change. */
final readonly class PointsController
{
    public function __construct(private ReadPoints $points, private Words $words)
    {
    }

    public function show(Name $name, SignedInRequest $request): View
    {
        return view('names.points', [
            'name' => $name,
            'page' => $this->points->of($name, self::set($request)),
            'sets' => NamedSet::query()->orderBy('name')->limit(1_000)->pluck('name', 'id')->all(),
            'deed' => ChangeServers::key(),
            'words' => $this->words,
        ]);
    }

    /** One name is asked about at once. */
    public function ask(Name $name, SignedInRequest $request, LookAtServers $look, AskServers $ask): RedirectResponse
    {
        $set = self::set($request);
        $look->of([$name->id]);
        if ($set !== null) {
            $ask->want([$name->id], $set->value());
        }

        return to_route('names.points', [$name, ...$set === null ? [] : ['set' => $set->id]]);
    }

    /** What a set's servers lack, as a file for whoever runs them. */
    public function missing(Name $name, NamedSet $set): Response
    {
        $comparison = $this->points->of($name, $set)->change?->comparison() ?? abort(404);

        return new Response($comparison->toPut($name->ascii)->asFile(), 200, [
            'Content-Type' => 'text/dns; charset=us-ascii',
            'Content-Disposition' => "attachment; filename=\"{$name->ascii}-missing.zone\"",
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    private static function set(SignedInRequest $request): ?NamedSet
    {
        $id = $request->word('set');

        return preg_match('/\A\d{1,15}\z/', $id) === 1 ? NamedSet::query()->with('registrar')->find((int) $id) : null;
    }
}
