<?php

declare(strict_types=1);

namespace App\Http\Custody;

use App\Actions\Custody\HandCustody;
use App\Http\ProofText;
use App\Models\Custodian;
use App\Models\Handing;
use App\Models\HandingLine;
use App\Models\HandingState;
use App\Queries\Custody\ReadCustody;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\View\View;

/** Somebody's custody handed to another: its slips, what was done at each account, and the proof. */
final readonly class HandingController
{
    public function __construct(private HandCustody $hand, private ReadCustody $custody, private Words $words)
    {
    }

    public function store(Custodian $custodian, HandCustodyRequest $request): RedirectResponse
    {
        $handing = $this->hand->begin($request->person(), $custodian, Custodian::query()->findOrFail($request->integer('to')));

        return $handing === null
            ? to_route('custody.show', $custodian)->with('told', $this->words->say('contacts.custody.nothing'))
            : to_route('custody.handing', $handing);
    }

    public function show(Handing $handing): View
    {
        $handing->load(['from', 'to', 'opener', 'proof', 'lines.account.registrar', 'lines.ender']);

        return view('custody.handing', [
            'custody' => $this->custody->of(array_values($handing->lines->map(fn (HandingLine $line): int => $line->account_id)->all())),
            'handing' => $handing,
            'open' => $handing->lines->filter(fn (HandingLine $line): bool => $line->state === HandingState::Open)->count(),
            'words' => $this->words,
        ]);
    }

    public function end(Handing $handing, EndHandingRequest $request): RedirectResponse
    {
        $ended = $this->hand->end($request->person(), $handing, $request->accounts(), $request->left());

        return to_route('custody.handing', $handing)->with(
            'told',
            $this->words->count($request->left() === null ? 'contacts.custody.done' : 'contacts.custody.left', $ended),
        );
    }

    public function proof(Handing $handing): Response
    {
        return ProofText::download($handing->load('proof')->proof ?? abort(404), "handing-{$handing->id}");
    }
}
