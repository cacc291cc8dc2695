<?php

declare(strict_types=1);

namespace App\Http\Contacts;

use Acre\Core\Time\Instant;
use App\Actions\Contacts\EraseContact;
use App\Http\ProofText;
use App\Models\Contact;
use App\Models\Proof;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\View\View;

/** Erasing a person who asks for it: what must stay and why, what goes, and that it went. */
final readonly class EraseController
{
    public function __construct(
        private EraseContact $erase,
        private Connection $database,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    public function show(Contact $contact): View
    {
        $erased = $this->database->table('erasures')->where('contact_id', $contact->id)->first();

        return view('contacts.erase', [
            'contact' => $contact,
            'proof' => Proof::query()->where('erasure_id', $contact->id)->first(),
            'stands' => $this->erase->stands($contact->id),
            'erased' => $erased === null ? null : Row::of($erased),
            'today' => $this->clock->today(),
            'words' => $this->words,
        ]);
    }

    public function store(Contact $contact, EraseRequest $request): RedirectResponse
    {
        $gone = $this->erase->handle($request->person(), $contact, Instant::of($request->word('asked_on')), trim($request->word('words')));

        return to_route('contacts.erase', $contact)->with(
            'told',
            $this->words->say($gone === null ? 'contacts.erase.not' : 'contacts.erase.done'),
        );
    }

    public function proof(Contact $contact): Response
    {
        return ProofText::download(Proof::query()->where('erasure_id', $contact->id)->firstOrFail(), "erased-contact-{$contact->id}");
    }
}
