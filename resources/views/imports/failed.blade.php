<x-layout title="The list can’t be read" area="Roll">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('bring-in.create') }}">Bring names in</a> / {{ $import->file }}</nav>
    <h1>The list can’t be read</h1>
    <p class="told told-bad" role="alert">{{ $import->failure }}</p>
    <p>Nothing of it was written. <a href="{{ route('bring-in.create') }}">Bring it in again</a> when it is corrected.</p>
    @include('imports.discard')
</x-layout>
