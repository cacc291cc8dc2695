@php($link = fn(array $change): string => route('movements.index', array_filter([
    'direction' => $direction?->value,
    'whom' => $whom?->value,
    ...$change,
])))
<x-layout :title="__('movements.index.title')" area="Movements">
    @include('movements.ways')
    <div class="head">
        <div>
            <h1>{{ __('movements.index.title') }}</h1>
            <div class="sentence">{{ __('movements.index.showing') }} <x-word
                    :label="$direction === null ? __('movements.index.all') : __('movements.direction.' . $direction->value)"><a
                        href="{{ $link(['direction' => null, 'whom' => null]) }}"
                        @if ($direction === null) aria-current="true" @endif>{{ __('movements.index.all') }}</a>
                    @foreach ($directions as $one => $count)
                        <a href="{{ $link(['direction' => $one, 'whom' => null]) }}"
                            @if ($direction?->value === $one) aria-current="true" @endif>{{ __('movements.direction.' . $one) }}
                            <span class="lesser">{{ number_format($count) }}</span></a>
                    @endforeach
                </x-word>@if ($whom !== null)
                    {{ __('movements.index.waiting_for', ['whom' => $words->say('movements.whom.' . $whom->value)]) }} <a
                        href="{{ $link(['whom' => null]) }}">{{ __('movements.index.whoever') }}</a>
                @endif
            </div>
        </div>
        @can('prepare')
            <p class="head-deeds"><a class="button" href="{{ route('hand-over') }}">{{ __('dockets.index.hand_over_names') }}</a>
                <a class="button"
                    href="{{ route('deeds.show', ['transfer', 'of' => 'sheaf']) }}">{{ __('movements.index.transfer') }}</a></p>
        @endcan
    </div>
    @if ($waiting !== [])
        <p class="whom">{{ __('movements.index.wait_for') }}
            @foreach ($waiting as $one => $count)
                <a class="in-text" href="{{ $link(['whom' => $one]) }}">{{ $words->say('movements.whom.' . $one) }}</a>
                <span class="lesser">{{ number_format($count) }}</span>{{ $loop->last ? '' : ', ' }}
            @endforeach
        </p>
    @endif
    @if ($rows === [])
        <div class="empty">
            <h2>{{ __('movements.index.none') }}</h2>
            <p>{{ __('movements.index.none_said') }}</p>
        </div>
    @else
        <table class="sheet">
            <caption class="hide">{{ __('movements.index.title') }}</caption>
            <thead>
                <tr>
                    <th scope="col" class="c-name">{{ __('common.name') }}</th>
                    <th scope="col">{{ __('common.from') }}</th>
                    <th scope="col">{{ __('dockets.show.to') }}</th>
                    <th scope="col">{{ __('movements.index.waits') }}</th>
                    <th scope="col">{{ __('movements.index.whom') }}</th>
                    <th scope="col">{{ __('movements.index.likely') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($rows as $one)
                    <tr>
                        <th scope="row"><a class="name" href="{{ route('movements.show', $one->id) }}">{{ $one->unicode }}</a></th>
                        <td data-label="{{ __('common.from') }}">{{ $one->from }}</td>
                        <td data-label="{{ __('dockets.show.to') }}">{{ $one->to }}</td>
                        <td data-label="{{ __('movements.index.waits') }}"><span class="is-move">{{ $one->leg === null
                            ? ''
                            : $words->say('movements.leg.' . $one->leg->value) }}</span></td>
                        <td data-label="{{ __('movements.index.whom') }}">{{ $one->whom === null
                            ? ''
                            : $words->say('movements.actor.' . $one->whom->value) }}</td>
                        <td data-label="{{ __('movements.index.likely') }}">
                            @if ($one->isLate($now))
                                <strong
                                    class="is-bad">{{ __('movements.index.late', [
                                        'day' => App\Support\Dates::full($one->latest),
                                    ]) }}</strong>
                            @elseif ($one->likely !== null)
                                {{ App\Support\Dates::full($one->likely) }}
                                @if (!$one->likely->agreesWith($one->latest))
                                    <span
                                        class="lesser">{{ __('movements.index.latest', [
                                            'day' => App\Support\Dates::full($one->latest),
                                        ]) }}</span>
                                @endif
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($next !== null)
            <p><a href="{{ $link(['after' => $next]) }}">{{ __('movements.index.next') }}</a></p>
        @endif
    @endif
</x-layout>
