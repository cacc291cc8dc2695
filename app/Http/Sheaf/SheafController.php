<?php

declare(strict_types=1);

namespace App\Http\Sheaf;

use App\Actions\Names\GatherNames;
use App\View\CurrentSheaf;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Putting names into one's sheaf and taking them out. */
final readonly class SheafController
{
    public function __construct(private GatherNames $gather, private CurrentSheaf $sheaf)
    {
    }

    public function store(SheafRequest $request): RedirectResponse|JsonResponse
    {
        $left = $this->gather->add($request->person(), $request->names());

        return $this->answer($request, $left > 0 ? trans_choice('sheaf.full', $left, ['limit' => number_format(config()->integer('house.selection_limit'))]) : null);
    }

    public function update(SheafRequest $request): RedirectResponse|JsonResponse
    {
        $this->gather->remove($request->person(), $request->names());

        return $this->answer($request, null);
    }

    public function destroy(SheafRequest $request): RedirectResponse
    {
        $this->gather->empty($request->person());

        return back();
    }

    private function answer(Request $request, ?string $told): RedirectResponse|JsonResponse
    {
        if (! $request->expectsJson()) {
            return $told === null ? back() : back()->with('told', $told);
        }
        $sheaf = $this->sheaf->get();

        return new JsonResponse(['count' => $sheaf->count(), 'told' => $told ?? $sheaf->told()]);
    }
}
