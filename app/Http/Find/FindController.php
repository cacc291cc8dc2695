<?php

declare(strict_types=1);

namespace App\Http\Find;

use App\Queries\Find\FindAnything;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** The search in the mast: a name typed in full goes to its folio, anything else to what answers to it. */
final readonly class FindController
{
    public function __invoke(FindRequest $request, FindAnything $find): View|RedirectResponse
    {
        $text = trim($request->word('q'));
        if ($request->word('found') === 'only') {
            return view('find.found', ['text' => $text, 'found' => $find->matching($text)]);
        }
        $name = $find->exactly($text);

        return $name !== null ? to_route('names.show', $name) : view('find.index', ['text' => $text, 'found' => $find->matching($text)]);
    }
}
