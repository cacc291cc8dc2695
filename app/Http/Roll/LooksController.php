<?php

declare(strict_types=1);

namespace App\Http\Roll;

use App\Queries\Roll\RollFilter;
use App\View\Looks;
use Illuminate\Http\RedirectResponse;

/** Which columns a person sees, and how close the rows stand. */
final readonly class LooksController
{
    public function __invoke(LooksRequest $request): RedirectResponse
    {
        $request->person()->update(['looks' => Looks::read($request->looks())->pack()]);

        // To the sentence, without the view whose columns it was seen in.
        return redirect(RollFilter::read($request->all())->address());
    }
}
