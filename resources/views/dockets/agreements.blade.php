{{-- What was accepted for the registrants when it was approved. --}}
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
