<?php

declare(strict_types=1);

namespace App\Http\Outside;

use Acre\Core\Record\RecordFinding;
use App\Actions\Names\GatherNames;
use App\Actions\Outside\Settling;
use App\Http\SignedInRequest;
use App\Queries\Outside\ReadDrifts;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** Where outside and Roll disagree, and the way to settle it for one name or for many. */
final readonly class DriftController
{
    public function __construct(private ReadDrifts $drifts, private Words $words)
    {
    }

    public function index(SignedInRequest $request): View
    {
        $kind = RecordFinding::tryFrom($request->word('kind'));
        $isLeft = $request->word('kind') === 'left';

        $counts = $this->drifts->counts();

        return view('outside.drift', [
            'kind' => $kind, 'isLeft' => $isLeft, 'counts' => $counts, 'left' => $this->drifts->left(),
            'few' => $kind === null && ! $isLeft ? $this->drifts->few(array_keys($counts)) : null,
            'page' => $isLeft ? $this->drifts->leftOnes() : ($kind === null ? null : $this->drifts->ofKind($kind)),
            'settling' => Settling::of(...), 'words' => $this->words,
        ]);
    }

    /** The ticked names of a kind, or all of it, become a list of their own, which the deed's page takes from there. */
    public function gather(GatherDriftRequest $request, GatherNames $gather): RedirectResponse
    {
        $kind = $request->kind() ?? abort(404);
        [$deed, $terms] = $request->deed($kind) ?? abort(404);
        $ticked = $request->names();
        $names = $ticked === [] ? $this->drifts->names($kind, config()->integer('house.selection_limit')) : $ticked;

        return to_route('deeds.show', [$deed, 'of' => $gather->list($request->person(), $names), ...$terms]);
    }
}
