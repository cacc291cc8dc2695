{{-- What is accepted for the registrants when it is approved, and what was. --}}
@if ($toAccept !== [])
    <p>{{ __('deeds.transfer.accepts') }} <x-agreements :of="$toAccept"/></p>
@endif
@if ($agreements !== [])
    <p class="lesser">{{ __('dockets.agreements.accepted', [
        'who' => $agreements[0]->text('who'),
        'day' => App\Support\Dates::full($agreements[0]->instant('accepted_on')),
        'authority' => $words->say('words.authority.' . $agreements[0]->text('authority')),
    ]) }}
        <x-agreements :of="array_map(
            fn(App\Support\Row $one): array => ['name' => $one->text('name'), 'address' => $one->text('address')],
            $agreements,
        )"/></p>
@endif
