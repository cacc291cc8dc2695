<x-layout title="Brought in" area="Roll">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('bring-in.create') }}">Bring names in</a> / {{ $import->file }}</nav>
    <h1>{{ number_format($import->rows_written) }} {{ $import->rows_written === 1 ? 'name' : 'names' }} brought in</h1>
    <p class="sentence">From {{ $import->file }}, {{ $import->registrar->name }}: @foreach ($counts as $one => $count)<a href="{{ route('bring-in.show', [$import, 'verdict' => $one]) }}" class="pick {{ $one === 'refused' && $count > 0 ? 'is-bad' : '' }}" @if ($one === $verdict) aria-current="true" @endif>{{ number_format($count) }} {{ __('imports.verdict.'.$one) }}</a>{{ $loop->last ? '.' : ',' }} @endforeach <a href="{{ route('roll') }}">To the Roll</a></p>
    @include('imports.rows')
</x-layout>
