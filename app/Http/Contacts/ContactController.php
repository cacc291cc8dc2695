<?php

declare(strict_types=1);

namespace App\Http\Contacts;

use Acre\Core\Contact\Country;
use App\Actions\Contacts\SaveContact;
use App\Actions\Names\GatherNames;
use App\Http\OldInput;
use App\Http\SignedInRequest;
use App\Models\Client;
use App\Models\Contact;
use App\Models\ContactVersion;
use App\Queries\Contacts\Alike;
use App\Queries\Contacts\Consequences;
use App\Queries\Contacts\ContactFilter;
use App\Queries\Contacts\Evidence;
use App\Queries\Contacts\ReadContacts;
use App\View\ContactChanges;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Who stands behind names. */
final readonly class ContactController
{
    /** Names that a contact's page lists; the Roll shows all. */
    private const NAMES = 40;

    public function __construct(
        private ReadContacts $contacts,
        private SaveContact $save,
        private Consequences $consequences,
        private Words $words,
    ) {
    }

    public function index(Request $request): View
    {
        $filter = ContactFilter::of($request->query());
        $rows = $this->contacts->page($filter);

        return view('contacts.index', [
            'filter' => $filter,
            'rows' => array_slice($rows, 0, ReadContacts::PAGE),
            'next' => $rows[ReadContacts::PAGE - 1] ?? null,
            'more' => count($rows) > ReadContacts::PAGE,
            'count' => $this->contacts->count(),
            'risks' => $this->contacts->atRisk(),
            'hang' => $filter->isNarrowed() ? [] : $this->contacts->hangOnOne(),
            'clients' => Client::names(),
            'words' => $this->words,
        ]);
    }

    public function show(Contact $contact, Evidence $evidence, Alike $alike): View|RedirectResponse
    {
        if ($contact->merged_into !== null) {
            return to_route('contacts.show', $contact->merged_into);
        }
        $contact->load([
            'today.mailbox',
            'client',
            'versions' => fn ($versions) => $versions->with(['mailbox', 'user'])->orderByDesc('number'),
        ]);
        $mailbox = $contact->today->mailbox;
        $value = $contact->today->value($contact->kind);

        return view('contacts.show', [
            'contact' => $contact,
            'value' => $value,
            'mailbox' => $mailbox,
            'site' => $this->contacts->site($mailbox->site ?? ''),
            'findings' => $mailbox === null ? $value->findings() : $value->findings($mailbox->takes_mail),
            'risks' => $this->contacts->risksOf($contact->id),
            'names' => $this->contacts->names($contact->id, self::NAMES),
            'count' => $this->contacts->some($contact->id)[0]->int('names'),
            'untold' => $this->contacts->countUntold($contact->id),
            'letters' => $mailbox === null ? [] : $evidence->of($mailbox->address),
            'alike' => $alike->to($contact->id),
            'itself' => $this->contacts->some($contact->id)[0] ?? null,
            'changes' => new ContactChanges($this->words),
            'words' => $this->words,
        ]);
    }

    public function create(Request $request): View
    {
        return $this->form(new Contact(), null);
    }

    public function store(ContactRequest $request): RedirectResponse
    {
        $contact = $this->save->create($request->person(), $request->contact(), $request->clientId());

        return to_route('contacts.show', $contact)->with(
            'told',
            $this->words->say('contacts.saved', ['who' => $request->contact()->called()]),
        );
    }

    public function edit(Contact $contact): View|RedirectResponse
    {
        return $contact->merged_into === null ? $this->form($contact, $contact->today) : to_route('contacts.edit', $contact->merged_into);
    }

    /** What a change starts is shown first, and saved once that was seen. */
    public function update(Contact $contact, ContactRequest $request): View|RedirectResponse
    {
        $after = $request->contact();
        $starts = $this->consequences->of($contact->id, $contact->today->value($contact->kind), $after);
        $seen = hash('xxh128', serialize([$starts, $after]));
        if ($starts !== [] && ! hash_equals($seen, $request->word('seen'))) {
            $request->session()->flashInput(OldInput::of($request));

            return $this->form($contact, $contact->today, $starts, $seen);
        }
        $names = $this->contacts->some($contact->id)[0]->int('names');
        $changed = $this->save->change($request->person(), $contact, $after, $request->clientId(), $request->integer('version'));

        return to_route('contacts.show', $contact)->with(
            'told',
            $changed
                ? $this->words->count('contacts.changed', $names, ['who' => $after->called()])
                : $this->words->say('contacts.same', ['who' => $after->called()]),
        );
    }

    /** To the page of the deed, with the names whose registrars have older data of it. */
    public function tell(SignedInRequest $request, Contact $contact, GatherNames $gather): RedirectResponse
    {
        $names = $this->contacts->untold($contact->id);

        return $names === []
            ? to_route('contacts.show', $contact)
            : to_route('deeds.show', [
                'change_registrant',
                'of' => $gather->list($request->person(), $names),
                'contact' => $contact->id,
                'correct' => 1,
            ]);
    }

    /** @param  list<array<string, mixed>>  $starts */
    private function form(Contact $contact, ?ContactVersion $today, array $starts = [], string $seen = ''): View
    {
        $countries = array_map(
            fn (string $code): string => Country::of($code)->name(),
            array_combine(array_keys(Country::all()), array_keys(Country::all())),
        );
        asort($countries);

        return view('contacts.form', [
            'contact' => $contact,
            'today' => $today,
            'clients' => Client::names(),
            'countries' => ['' => 'not known'] + $countries,
            'starts' => $starts,
            'seen' => $seen,
            'words' => $this->words,
        ]);
    }
}
