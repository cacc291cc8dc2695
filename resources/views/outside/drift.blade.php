@php($total = array_sum($counts))
@php($takes = fn (Acre\Core\Record\RecordFinding $one): bool => $one->about()->canBeTaken())
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
    @error('names')<p class="told told-bad" role="alert">{{ $message }}</p>@enderror
    @if ($total === 0 && ! $isLeft)
        <div class="empty"><h2>{{ __('outside.drift.nothing') }}</h2><p>Each name is looked at in its turn; <a href="{{ route('outside') }}">how that is planned</a>. What is seen otherwise than written here comes to this page.</p></div>
    @endif
    @foreach ($few !== null ? array_keys($counts) : ($page !== null ? [$kind?->value ?? 'left'] : []) as $one)
        @php($finding = Acre\Core\Record\RecordFinding::tryFrom($one))
        @php($rows = collect($few !== null ? $few[$one] ?? [] : $page->items()))
        <form method="post" action="{{ route('drift.gather') }}" @class(['card', 'drift', 'is-alarm' => $finding?->isAlarming()]) aria-labelledby="k-{{ $one }}">
            @csrf
            <div class="drift-head">
                <h2 id="k-{{ $one }}">{{ $finding === null ? 'Left as they are' : __('outside.drift.kind.'.$one) }} @if ($finding !== null)<span class="aside">{{ number_format($counts[$one] ?? 0) }} {{ ($counts[$one] ?? 0) === 1 ? 'name' : 'names' }}</span>@endif</h2>
                @if ($finding !== null)<p class="lesser">{{ __('outside.drift.cure.'.$one) }}</p>@endif
            </div>
            <table class="sheet low">
                <caption class="hide">{{ $finding === null ? 'Left as they are' : __('outside.drift.kind.'.$one) }}</caption>
                <thead><tr><th scope="col"><span class="hide">Tick</span></th><th scope="col">Name</th><th scope="col">What was seen</th><th scope="col">How sure</th><th scope="col">First seen</th></tr></thead>
                <tbody>@include('outside.drift-rows', ['drifts' => $rows])</tbody>
            </table>
            @if ($finding !== null)
            <div class="drift-deeds">
                @can('prepare')
                    @if ($takes($finding))<button name="act" value="take:{{ $one }}" class="main">Take what was seen</button>@endif
                    <button name="act" value="leave:{{ $one }}">Leave it, and say why</button>
                    <label class="tick"><input type="checkbox" name="all" value="1"> for all {{ number_format($counts[$one] ?? 0) }}, ticked or not</label>
                @endcan
                @if ($few !== null && ($counts[$one] ?? 0) > $rows->count())<a href="{{ route('drift.index', ['kind' => $one]) }}">All {{ number_format($counts[$one]) }}</a>@endif
            </div>
            @endif
        </form>
        @if ($page !== null){{ $page->links('components.pages') }}@endif
    @endforeach
</x-layout>
