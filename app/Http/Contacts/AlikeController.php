<?php

declare(strict_types=1);

namespace App\Http\Contacts;

use App\Actions\Contacts\MergeContacts;
use App\Models\Contact;
use App\Queries\Contacts\Alike;
use App\Queries\Contacts\ReadContacts;
use App\View\Words;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Contacts that are nearly the same, to be put together. */
final readonly class AlikeController
{
    public function __construct(private Alike $alike, private ReadContacts $contacts, private Words $words)
    {
    }

    public function index(Request $request): View
    {
        $page = max(1, min(10_000, $request->integer('page', 1)));
        $groups = $this->alike->groups($page);

        return view('contacts.alike', [
            'groups' => array_slice($groups, 0, Alike::PAGE),
            'more' => count($groups) > Alike::PAGE,
            'page' => $page,
            'words' => $this->words,
        ]);
    }

    public function merge(MergeRequest $request, MergeContacts $merge): RedirectResponse
    {
        $kept = Contact::query()->with('today')->findOrFail($request->integer('keep'));
        try {
            $count = $merge->handle($request->person(), $kept, $request->others());
        } catch (AuthorizationException $e) {
            return to_route('contacts.alike')->withErrors(['together' => $e->getMessage()]);
        }

        $untold = $count === 0 ? 0 : $this->contacts->countUntold($kept->id);

        return back()->with(
            'told',
            trim(
                $this->words->count('contacts.merged', $count, ['who' => $kept->today->called]).
                    ' '.
                    ($untold === 0 ? '' : $this->words->count('contacts.merged_untold', $untold)),
            ),
        );
    }
}
