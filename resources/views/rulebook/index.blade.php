<x-layout :title="__('rulebook.index.rulebook')" area="Outside">
    @include('outside.ways')
    <h1>{{ __('rulebook.index.rulebook') }}</h1>
    <p class="sentence">{{ __('rulebook.index.what_each_suffix_requires_and') }}</p>
    <table class="sheet low">
        <thead>
            <tr>
                <th scope="col">{{ __('rulebook.index.suffix') }}</th>
                <th scope="col">{{ __('rulebook.index.terms') }}</th>
                <th scope="col">{{ __('rulebook.index.after_the_end') }}</th>
                <th scope="col">{{ __('rulebook.index.transfers_by') }}</th>
                <th scope="col">{{ __('rulebook.index.a_transfer_adds') }}</th>
                <th scope="col">{{ __('rulebook.index.transfer_hold') }}</th>
                <th scope="col">{{ __('common.lock') }}</th>
                <th scope="col">{{ __('rulebook.index.privacy') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($sets as $set)
                <tr>
                    <th scope="row"><a class="name" href="{{ route('rulebook.show', $set->suffix) }}">.{{ $set->suffix }}</a></th>
                    <td data-label="{{ __('rulebook.index.terms') }}">
                        {{ $set->leastMonths->value % 12 === 0 ? ($set->leastMonths->value === 12 * $set->mostYears->value ? ''
                            : $set->leastMonths->value / 12 . ' to ') : trans_choice(
                            'rulebook.months',
                            $set->leastMonths->value,
                        ) . ' to ' }}{{ trans_choice('rulebook.years', $set->mostYears->value) }}
                    </td>
                    <td data-label="{{ __('rulebook.index.after_the_end') }}">
                        {{ $set->end->value === []
                            ? __('rulebook.index.nothing_known')
                            : collect($set->end->value)->map(fn($p) => $words->say('words.phase_short.' . $p->phase->value) . ' '
                                . $p->days)->join(', ') }}
                    </td>
                    <td data-label="{{ __('rulebook.index.transfers_by') }}">{{ $set->movesBy->value->value }}</td>
                    <td data-label="{{ __('rulebook.index.a_transfer_adds') }}">
                        {{ $set->moveAdds->value === 0
                            ? 'nothing'
                            : ($set->moveAdds->value === 1 ? __('rulebook.index.a_year') : $set->moveAdds->value . ' years') }}
                    </td>
                    <td data-label="{{ __('rulebook.index.transfer_hold') }}">
                        {{ $set->holdAfterCreated->value === 0 ? __('rulebook.index.no_hold_known') : __(
                            'rulebook.index.days_at_first',
                            ['value' => $set->holdAfterCreated->value],
                        ) }}
                    </td>
                    <td data-label="{{ __('common.lock') }}">{{ $set->hasLock->value ? 'yes' : 'none' }}</td>
                    <td data-label="{{ __('rulebook.index.privacy') }}">
                        {{ $set->privacyAllowed->value ? 'allowed' : __('rulebook.index.not_allowed') }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
</x-layout>
