<?php

declare(strict_types=1);

namespace App\Http\Contacts;

use Acre\Wire\Card\CardError;
use Acre\Wire\Card\Cards;
use Acre\Wire\Card\ContactCard;
use App\Actions\Contacts\ImportCards;
use App\Http\SignedInRequest;
use App\Models\Contact;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;

/** Contacts as cards, out and in (RFC 6350). */
final readonly class CardController
{
    public function __construct(private Words $words)
    {
    }

    public function show(Contact $contact): Response
    {
        $contact->load('today.mailbox');
        $today = $contact->today;
        $card = new ContactCard(
            ['organisation' => 'org', 'person' => 'individual'][$contact->kind->value] ?? null,
            $today->organisation,
            $today->person,
            $today->street,
            $today->town,
            $today->region,
            $today->postcode,
            $today->country,
            $today->voice,
            $today->mailbox?->address,
        );

        return new Response(Cards::write($card), 200, [
            'Content-Type' => 'text/vcard; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"contact-{$contact->id}.vcf\"",
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    public function store(SignedInRequest $request, ImportCards $take): RedirectResponse
    {
        $file = $request->file('cards');
        if (! ($file instanceof UploadedFile) || ! $file->isValid()) {
            throw ValidationException::withMessages(['cards' => __('forms.choose_cards')]);
        }
        try {
            $taken = $take->handle($request->person(), $file->getContent());
        } catch (CardError $e) {
            throw ValidationException::withMessages(['cards' => $e->getMessage()]);
        }

        return to_route('contacts.index')
            ->with(
                'told',
                trim(
                    $this->words->count('contacts.cards', $taken['made']).
                        ' '.
                        ($taken['known'] === 0 ? '' : $this->words->count('contacts.cards_known', $taken['known'])),
                ),
            )
            ->withErrors($taken['refused'] === [] ? [] : ['cards' => array_slice($taken['refused'], 0, 20)]);
    }
}
