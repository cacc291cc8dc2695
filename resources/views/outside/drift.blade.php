@php($total = array_sum($counts))
<x-layout :title="__('outside.drift.drift')" area="Outside">
    @include('outside.ways')
    <h1>{{ __('outside.drift.drift') }}</h1>
    <p class="sentence">
        @if ($isLeft)
            {{ __('outside.drift.differences_we_decided_to_keep') }}
        @elseif ($total === 0)
            {{ __('outside.drift.the_registries_and_the_roll') }}
        @else
            {{ trans_choice('outside.drift.to_settle', $total, ['told' => number_format($total)]) }}
        @endif
        @if (!$isLeft && $left > 0)
            <a
                href="{{ route('drift.index', ['kind' => 'left']) }}">{{ trans_choice(
                    'outside.drift.kept_count',
                    $left,
                    ['told' => number_format($left)],
                ) }}</a>
        @endif
        @if ($isLeft || $kind !== null)
            <a href="{{ route('drift.index') }}">{{ __('outside.drift.all_differences') }}</a>
        @endif
    </p>
    @if ($total === 0 && !$isLeft)
        <div class="empty">
            <h2>{{ __('outside.drift.nothing') }}</h2>
            <p>{{ __('outside.drift.nothing_what') }} <a href="{{ route('outside') }}">{{ __('outside.drift.how') }}</a></p>
        </div>
    @endif
    @php($kinds = $few !== null ? array_keys($counts) : ($page !== null ? [$kind?->value ?? 'left'] : []))
    @if ($kinds !== [])
        <form method="post" action="{{ route('drift.gather') }}">
            @csrf
            <table class="sheet low drift-list">
                <caption class="hide">{{ __('outside.drift.differences') }}</caption>
                <thead>
                    <tr>
                        <th scope="col" class="c-tick"><span class="hide">{{ __('common.select') }}</span></th>
                        <th scope="col" class="c-name">{{ __('common.name') }}</th>
                        <th scope="col">{{ __('outside.drift.at_the_registry') }}</th>
                        <th scope="col" class="c-when">{{ __('outside.drift.first_seen') }}</th>
                    </tr>
                </thead>
                @foreach ($kinds as $one)
                    @php($finding = Acre\Core\Record\RecordFinding::tryFrom($one))
                    @php($rows = collect($few !== null ? $few[$one] ?? [] : $page->items()))
                    @php($count = $counts[$one] ?? 0)
                    <tbody @class(['is-alarm' => $finding?->isAlarming()])>
                        <tr class="drift-kind">
                            <th colspan="4" scope="rowgroup">
                                <div class="drift-head">
                                    <h2>{{ $finding === null ? __('outside.drift.kept') : __('outside.drift.kind.' . $one) }}</h2>
                                    @if ($finding !== null)
                                        <p class="lesser">
                                            {{ $count > 1 ? number_format($count) . ' names. ' : '' }}{{ __('outside.drift.cure.' . $one) }}
                                        </p>
                                        @can('prepare')
                                            @php($ways = $settling($finding))
                                            <p class="drift-deeds">
                                                @if (isset($ways['take']))
                                                    <button name="act" value="take:{{ $one }}"
                                                        aria-label="{{ __(
                                                            'outside.drift.update_our_record',
                                                            ['one' => __('outside.drift.kind.' . $one)],
                                                        ) }}">{{ __('outside.drift.update_kind') }}</button>
                                                @endif
                                                @if (isset($ways['right']))
                                                    <button name="act" value="right:{{ $one }}"
                                                        aria-label="{{ __(
                                                            'outside.drift.correct_it_at_the_registrar',
                                                            ['one' => __('outside.drift.kind.' . $one)],
                                                        ) }}">{{ __('outside.drift.correct_kind') }}</button>
                                                @endif
                                                <button name="act" value="leave:{{ $one }}"
                                                    aria-label="{{ $words->sayOr(
                                                        'outside.drift.way_of.' . $one . '.leave',
                                                        __('outside.drift.way.leave'),
                                                    ) }}: {{ __('outside.drift.kind.' . $one) }}">{{ $words->sayOr(
                                                        'outside.drift.way_of.' . $one . '.leave',
                                                        __('outside.drift.way.leave'),
                                                    ) }}</button>
                                            </p>
                                        @endcan
                                    @endif
                                </div>
                            </th>
                        </tr>
                        @foreach ($rows as $drift)
                            <tr>
                                <td class="c-tick">
                                    @if ($finding !== null && $count > 1)
                                        <input type="checkbox" name="names[{{ $one }}][]" value="{{ $drift->name_id }}"
                                            aria-label="{{ __('outside.drift.select', ['unicode' => $drift->name->unicode]) }}">
                                    @endif
                                </td>
                                <th scope="row" class="c-name"><a class="name"
                                        href="{{ route('record.show', $drift->name->ascii) }}">{{ $drift->name->unicode }}</a></th>
                                <td data-label="{{ __('outside.drift.at_the_registry') }}"><bdi>{{ $words->stored($drift->said) }}.</bdi>
                                    @if ($drift->because !== null)
                                        <span class="lesser">{{ __('outside.drift.kept_because', ['because' => $drift->because]) }}</span>
                                        @endif @if ($drift->certainty !== Acre\Core\Record\Certainty::Sure)
                                            <span
                                                class="lesser is-soon">{{ __(
                                                    'outside.drift.not_sure',
                                                    ['value' => __('outside.certainty.' . $drift->certainty->value)],
                                                ) }}</span>
                                        @endif
                                </td>
                                <td class="c-when" data-label="{{ __('outside.drift.first_seen') }}">
                                    {{ App\Support\Dates::exact($drift->first_seen) }}</td>
                            </tr>
                        @endforeach
                        @if ($few !== null && $count > $rows->count())
                            <tr>
                                <td></td>
                                <td colspan="3"><a
                                        href="{{ route('drift.index', ['kind' => $one]) }}">{{
                                            __('outside.drift.all', ['count' => number_format($count)])
                                        }}</a>
                                </td>
                            </tr>
                        @endif
                    </tbody>
                @endforeach
            </table>
            @if ($few === null || max($counts) > 1)
                <p class="lesser">{{ __('outside.drift.the_buttons_act_on_the') }}</p>
            @endif
        </form>
        @if ($page !== null)
            {{ $page->links('components.pages') }}
        @endif
    @endif
</x-layout>
