{{-- $fields: FieldCompared; $seen: when the oldest of what is read today was seen; $one: the only name, if it is one; $count: names --}}
@php($by = fn(array $suffixes): string => count($suffixes) > 1 ? __('deeds.picture.change_disclosure.by_rules') : __(
    'deeds.picture.change_disclosure.by_rule_of',
    ['suffix' => $suffixes[0]],
))
@php($rule = fn(string $state, array $told): string => $words->say('contacts.read.' . $state) . (count($told) > 1 ? ' ('
    . number_format($told[$state]) . ')' : ''))
<table class="sheet reads">
    <caption class="hide">{{ __('deeds.picture.change_disclosure.what_the_public_record_shows') }}</caption>
    <thead>
        <tr>
            <th scope="col">{{ __('deeds.picture.change_disclosure.field') }}</th>
            <th scope="col">{{ __('deeds.picture.change_disclosure.our_record') }}</th>
            <th scope="col">
                {{ __(
                    'deeds.picture.change_disclosure.' . ($seen === null ? 'shown_today' : ($count > 1 ? 'shown_since' : 'shown_on')),
                    ['day' => $seen === null ? '' : ($count > 1 ? App\Support\Dates::short($seen) : App\Support\Dates::exact($seen))],
                ) }}
            </th>
            <th scope="col">{{ __('deeds.picture.change_disclosure.shown_afterwards') }}</th>
            <th scope="col">{{ __('deeds.picture.change_disclosure.where_different') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($fields as $compared)
            <tr @class(['reads-changes' => $compared->changes > 0])>
                <th scope="row">{{ ucfirst($words->say('contacts.field.' . $compared->field->value)) }}</th>
                <td class="mono" data-label="{{ __('deeds.picture.change_disclosure.our_record') }}">
                    @if ($compared->held === [])
                        <span class="lesser">{{ __('deeds.picture.change_disclosure.nothing') }}</span>
                    @elseif (count($compared->held) === 1)
                    <bdi>{{ $compared->held[0] }}</bdi>@else<span
                            class="lesser">{{ __('deeds.picture.change_disclosure.more_than_one') }}</span>
                    @endif
                </td>
                <td data-label="{{ __('deeds.picture.change_disclosure.shown_today') }}">
                    @foreach ($compared->today as $state => $names)
                        <span class="read read-{{ $state }}">{{ $rule($state, $compared->today) }}</span>
                    @endforeach
                </td>
                <td class="reads-after" data-label="{{ __('deeds.picture.change_disclosure.shown_afterwards') }}">
                    @foreach ($compared->after as $state => $names)
                        <span @class(['read', 'read-' . $state])>
                            @if ($compared->changes > 0 && $loop->first)
                                <strong
                                    class="mark">{{ $rule($state, $compared->after) }}</strong>@else{{ $rule($state, $compared->after) }}
                                @endif @if ($state === 'redacted')
                                    <span class="lesser">{{ $by($compared->redactedBy) }}</span>
                                @endif
                        </span>
                    @endforeach
                </td>
                <td data-label="{{ __('deeds.picture.change_disclosure.where_different') }}">
                    @foreach ($compared->apart as $state => $names)
                        <span
                            class="lesser">{{ implode(', ', $names) }}{{ ($compared->after[$state] ?? 0) > count($names)
                                ? ' and ' . number_format($compared->after[$state] - count($names)) . ' more'
                                : '' }}:
                            {{ $words->say('contacts.read.' . $state) }}</span>
                    @endforeach
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
<p class="lesser reads-key"><span class="read read-shown">{{ __('deeds.picture.change_disclosure.shown') }}</span> <span
        class="read read-withheld">{{ __('deeds.picture.change_disclosure.withheld_by_choice') }}</span> <span
        class="read read-redacted">{{ __('deeds.picture.change_disclosure.redacted_by_rule') }}</span> <span
        class="read read-replaced">{{ __('deeds.picture.change_disclosure.a_privacy_services_data') }}</span>
    {{ __('deeds.picture.change_disclosure.only_the_first_two_are_a') }}</p>
