@php($title = $erased === null ? "Erase contact {$contact->id}" : "Contact {$contact->id} is erased")
<x-layout :title="$title" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}">
        <a href="{{ route('contacts.index') }}">{{ __('common.contacts') }}</a> /
        <a
            href="{{ route('contacts.show', $contact) }}">{{ $contact->today->called === ''
                ? 'contact ' . $contact->id
                : $contact->today->called }}</a>
    </nav>
    <h1>{{ $title }}</h1>
    @if ($erased !== null)
        <p class="sentence">
            {{ __(
                'contacts.erase.erased_on_as_requested_on',
                [
                    'erased_on' => App\Support\Dates::full($erased->instant('erased_on')),
                    'asked_on' => App\Support\Dates::full($erased->instant('asked_on')),
                ],
            ) }}
        </p>
        <section class="card">
            <h2>{{ __('contacts.erase.the_proof') }}</h2>
            <dl class="facts">
                @foreach ($erased->json('counts') as $kind => $count)
                    <div>
                        <dt>{{ $words->say('contacts.erase.counts.' . $kind) }}</dt>
                        <dd>{{ number_format($count) }}</dd>
                    </div>
                @endforeach
                <div>
                    <dt>{{ __('contacts.erase.how_it_was_requested') }}</dt>
                    <dd><bdi>{{ $erased->text('words') }}</bdi></dd>
                </div>
                <div>
                    <dt>{{ __('contacts.erase.digest') }}</dt>
                    <dd class="mono">{{ $erased->text('digest') }}</dd>
                </div>
            </dl>
            <p class="lesser">{{ __('contacts.erase.sha_256_of_the_values_with_a') }}</p>
            @if ($proof !== null)
                <p><x-sentence of="contacts.erase.proof_text" :with="['position' => $proof->position]"><x-slot:text><a
                                href="{{ route('contacts.erase.proof', $contact) }}">{{ __('contacts.erase.download') }}</a></x-slot>
                                <x-slot:digest><span class="mono">{{ $proof->sha256 }}</span></x-slot></x-sentence></p>
            @endif
        </section>
    @else
        <div class="cards apart">
            <section class="card">
                <h2>{{ __('contacts.erase.what_is_erased') }}</h2>
                <ul>
                    <li>{{ __('contacts.erase.every_version_of_the_contact') }}</li>
                    <li>{{ __('contacts.erase.its_mailbox_unless_another') }}</li>
                    <li>{{ __('contacts.erase.what_imported_lists_said_about') }}</li>
                </ul>
            </section>
            <section class="card">
                <h2>{{ __('contacts.erase.what_is_kept_and_why') }}</h2>
                <ul>
                    <li>{{ __('contacts.erase.which_names_contact_was', ['id' => $contact->id]) }}</li>
                    <li>{{ __('contacts.erase.log_dockets_and_proofs_they') }}</li>
                    <li>{{ __('contacts.erase.what_was_agreed_to_for_which') }}</li>
                    <li>{{ __('contacts.erase.what_public_directories') }}</li>
                    <li>{{ __('contacts.erase.notes_in_peoples_own_words_no') }}</li>
                </ul>
            </section>
        </div>
        @if ($stands > 0)
            <p class="told told-bad">{{ trans_choice('contacts.erase.not_yet', $stands, ['told' => number_format($stands)]) }} <a
                    href="{{ route('roll', ['contact' => $contact->id]) }}">{{ __('contacts.erase.first') }}</a></p>
        @else
            <form method="post" action="{{ route('contacts.erase.store', $contact) }}" class="card fields" data-once>
                @csrf
                <div class="columns">
                <x-field name="asked_on" type="date" :label="__('contacts.erase.requested_on')" :value="$today->date()" required /><x-field
                        name="words" :label="__('contacts.erase.how_it_was_requested')" maxlength="1000" required
                        :note="__('contacts.erase.by_letter_or_e_mail_for')" /></div>
                <p><button class="grave">{{ __('contacts.erase.erase_this_contact_for_good') }}</button> <span
                        class="lesser">{{ __('contacts.erase.nobody_can_undo_this') }}</span></p>
            </form>
        @endif
    @endif
</x-layout>
