@php($undone = $import->state === App\Models\ImportState::Undone)
@php($title = $undone ? 'Taken back' : number_format($import->rows_written).($import->rows_written === 1 ? ' name' : ' names').' brought in')
<x-layout :title="$undone ? 'Taken back' : 'Brought in'" area="Roll">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('bring-in.create') }}">Bring names in</a> / {{ $import->file }}</nav>
    <h1>{{ $title }}</h1>
    <p class="sentence">From {{ $import->file }}, {{ $import->registrar->name }}: @foreach ($counts as $one => $count)<a href="{{ route('bring-in.show', [$import, 'verdict' => $one]) }}" class="pick {{ $one === 'refused' && $count > 0 ? 'is-bad' : '' }}" @if ($one === $verdict) aria-current="true" @endif>{{ number_format($count) }} {{ __('imports.verdict.'.$one) }}</a>{{ $loop->last ? '.' : ',' }} @endforeach <a href="{{ route('roll') }}">To the Roll</a></p>
    @if ($undone && $import->rows_written > 0)<p class="told told-bad">{{ number_format($import->rows_written) }} {{ $import->rows_written === 1 ? 'name was' : 'names were' }} touched while the list was taken back, and stayed as they are.</p>@elseif ($undone)<p class="told">What the list made is gone, and what it changed is as it was before.</p>@endif
    @include('imports.rows')
    @if (! $undone && $import->rows_written > 0)
        <section class="card" aria-labelledby="back">
            <h2 id="back">Taking it back</h2>
            @if ($touched === [])
                <p>Nothing else has touched these names since. Taken back, the names that the list made are gone, and what it changed is as it was before.</p>
                <form method="post" action="{{ route('bring-in.take-back', $import) }}" data-once>@csrf <button>Take the whole list back</button></form>
            @else
                <p>It can’t be taken back as a whole any more: {{ count($touched) === 100 ? 'a hundred names or more have' : (count($touched) === 1 ? 'one name has' : count($touched).' names have') }} been touched since, {{ collect($touched)->take(5)->map(fn ($row) => Acre\Core\Name\DomainName::of($row->text('ascii'))->unicode)->join(', ') }}{{ count($touched) > 5 ? ' and others' : '' }}.</p>
            @endif
        </section>
    @endif
</x-layout>
