@php($total = array_sum($counts))
<x-layout title="Drift" area="Outside">
    @include('outside.ways')
    <h1>Drift</h1>
    <p class="sentence">
        @if ($isLeft)What differs and was left as it is, with the reason. If the outside changes again, it is told again.
        @elseif ($total === 0)Outside and Roll say the same, as far as anybody has looked.
        @else Where the outside and the Roll disagree: <strong>{{ number_format($total) }}</strong> {{ $total === 1 ? 'thing' : 'things' }} to settle, the dearest first. Take what was seen, put it right outside, or leave it and say why.@endif
        @if (! $isLeft && $left > 0)<a href="{{ route('drift.index', ['kind' => 'left']) }}">{{ number_format($left) }} left as {{ $left === 1 ? 'it is' : 'they are' }}</a>@endif
        @if ($isLeft || $kind !== null)<a href="{{ route('drift.index') }}">Everything that differs</a>@endif
    </p>
    @if ($total === 0 && ! $isLeft)
        <div class="empty"><h2>{{ __('outside.drift.nothing') }}</h2><p>Each name is looked at in its turn; <a href="{{ route('outside') }}">how that is planned</a>. What is seen otherwise than written here comes to this page.</p></div>
    @endif
    @php($kinds = $few !== null ? array_keys($counts) : ($page !== null ? [$kind?->value ?? 'left'] : []))
    @if ($kinds !== [])
    <form method="post" action="{{ route('drift.gather') }}">
        @csrf
        <table class="sheet low drift-list">
            <caption class="hide">What differs</caption>
            <thead><tr><th scope="col" class="c-tick"><span class="hide">Tick</span></th><th scope="col" class="c-name">Name</th><th scope="col">What was seen</th><th scope="col" class="c-when">First seen</th></tr></thead>
            @foreach ($kinds as $one)
                @php($finding = Acre\Core\Record\RecordFinding::tryFrom($one))
                @php($rows = collect($few !== null ? $few[$one] ?? [] : $page->items()))
                @php($count = $counts[$one] ?? 0)
                <tbody @class(['is-alarm' => $finding?->isAlarming()])>
                    <tr class="drift-kind"><th colspan="4" scope="rowgroup"><div class="drift-head">
                        <h2>{{ $finding === null ? 'Left as they are' : __('outside.drift.kind.'.$one) }}</h2>
                        @if ($finding !== null)
                            <p class="lesser">{{ $count > 1 ? number_format($count).' names. ' : '' }}{{ __('outside.drift.cure.'.$one) }}</p>
                            @can('prepare')
                                @php($ways = $settling($finding))
                                <p class="drift-deeds">
                                    @if (isset($ways['take']))<button name="act" value="take:{{ $one }}" aria-label="Take what was seen: {{ __('outside.drift.kind.'.$one) }}">Take what was seen</button>@endif
                                    @if (isset($ways['right']))<button name="act" value="right:{{ $one }}" aria-label="Put it right outside: {{ __('outside.drift.kind.'.$one) }}">Put it right outside</button>@endif
                                    <button name="act" value="leave:{{ $one }}" aria-label="{{ $words->sayOr('outside.drift.way_of.'.$one.'.leave', 'Leave it') }}: {{ __('outside.drift.kind.'.$one) }}">{{ $words->sayOr('outside.drift.way_of.'.$one.'.leave', 'Leave it') }}</button>
                                </p>
                            @endcan
                        @endif
                    </div></th></tr>
                    @foreach ($rows as $drift)
                        <tr>
                            <td class="c-tick">@if ($finding !== null && $count > 1)<input type="checkbox" name="names[{{ $one }}][]" value="{{ $drift->name_id }}" aria-label="Tick {{ $drift->name->unicode }}">@endif</td>
                            <th scope="row" class="c-name"><a class="name" href="{{ route('record.show', $drift->name->ascii) }}">{{ $drift->name->unicode }}</a></th>
                            <td data-label="What was seen"><bdi>{{ $words->stored($drift->said) }}.</bdi>@if ($drift->because !== null)<span class="lesser">Left: {{ $drift->because }}</span>@endif @if ($drift->certainty !== Acre\Core\Record\Certainty::Sure)<span class="lesser is-soon">Not sure: {{ __('outside.certainty.'.$drift->certainty->value) }}</span>@endif</td>
                            <td class="c-when" data-label="First seen">{{ App\Support\Dates::exact($drift->first_seen) }}</td>
                        </tr>
                    @endforeach
                    @if ($few !== null && $count > $rows->count())<tr><td></td><td colspan="3"><a href="{{ route('drift.index', ['kind' => $one]) }}">All {{ number_format($count) }}</a></td></tr>@endif
                </tbody>
            @endforeach
        </table>
        @if ($few === null || max($counts) > 1)<p class="lesser">Where some are ticked, a button takes those; else all of its kind. The next page shows each before anything is done.</p>@endif
    </form>
    @if ($page !== null){{ $page->links('components.pages') }}@endif
    @endif
</x-layout>
