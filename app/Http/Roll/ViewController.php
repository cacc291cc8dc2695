<?php

declare(strict_types=1);

namespace App\Http\Roll;

use App\Models\SavedView;
use App\Queries\Roll\RollFilter;
use App\View\Looks;
use Illuminate\Http\RedirectResponse;

/** Keeping a sentence of the Roll by name, and letting it go. */
final readonly class ViewController
{
    public function store(ViewRequest $request): RedirectResponse
    {
        $filter = RollFilter::read($request->all());
        $view = SavedView::query()->create([
            'user_id' => $request->person()->id,
            'name' => $request->string('name')->trim()->toString(),
            'shared' => $request->boolean('shared'),
            'sentence' => ['words' => $filter->words(), 'looks' => Looks::of($request->person())->pack()],
        ]);

        return redirect($filter->address(['view' => $view->id]))->with('told', __('roll.view_kept', ['name' => $view->name]));
    }

    public function destroy(SavedView $view): RedirectResponse
    {
        $view->delete();

        return to_route('roll', $view->sentence['words'])->with('told', __('roll.view_gone', ['name' => $view->name]));
    }
}
