<x-layout :title="__('patterns.index.disclosure_patterns')" area="People">
    @include('contacts.ways')
    <div class="head">
        <div>
            <h1>{{ __('patterns.index.disclosure_patterns') }}</h1>
            <p class="sentence">{{ __('patterns.index.which_registrant_fields_the') }}</p>
        </div>
        @can('settle')
            <p class="head-deeds"><a class="button" href="{{ route('patterns.create') }}">{{ __('patterns.index.add_a_pattern') }}</a></p>
        @endcan
    </div>
    <table class="sheet">
        <thead>
            <tr>
                <th scope="col">{{ __('patterns.index.pattern') }}</th>
                <th scope="col">{{ __('patterns.index.shows') }}</th>
                <th scope="col" class="sum">{{ __('common.names') }}</th>
                <th scope="col"><span class="hide">{{ __('common.change') }}</span></th>
            </tr>
        </thead>
        <tbody>
            @foreach ($patterns as $pattern)
                <tr>
                    <th scope="row">{{ $pattern->name }}@if ($pattern->id === $house)
                            <span class="lesser">{{ __('patterns.index.default_for_new_names_unless') }}</span>
                        @endif
                    </th>
                    <td data-label="{{ __('patterns.index.shows') }}">
                        @foreach (Acre\Core\Contact\Field::cases() as $field)
                            <span @class([
                                'read',
                                'read-shown' => $pattern->value()->shows($field),
                                'read-withheld' => !$pattern->value()->shows($field),
                            ])>{{ __('contacts.field.' . $field->value) }}<span
                                    class="hide">{{ $pattern->value()->shows($field) ? ' shown' : ' withheld' }}</span></span>
                        @endforeach
                    </td>
                    <td class="sum" data-label="{{ __('common.names') }}">{{ number_format($follow[$pattern->id] ?? 0) }}</td>
                    <td>
                        @can('settle')
                            <a href="{{ route('patterns.edit', $pattern) }}">{{ __('common.change') }}</a>
                        @endcan
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
</x-layout>
