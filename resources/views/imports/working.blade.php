<x-layout title="At work on the list" area="Roll">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('bring-in.create') }}">Bring names in</a> / {{ $import->file }}</nav>
    <h1>{{ ['writing' => 'Writing the names', 'undoing' => 'Taking the list back'][$import->state->value] ?? 'Reading the list' }}</h1>
    <p class="sentence" data-waiting="{{ route('bring-in.state', $import) }}" aria-live="polite">{{ $told }}</p>
    <p class="progress"><progress max="1" @if ($far !== null) value="{{ round($far, 3) }}" @endif aria-label="How far" data-far></progress></p>
    @if ($import->failure !== null)<p class="told told-bad">{{ $import->failure }}</p>@endif
    <noscript><meta http-equiv="refresh" content="3"></noscript>
    <p class="lesser">You can leave this page: the work goes on, and <a href="{{ route('bring-in.show', $import) }}">this address</a> shows it.</p>
</x-layout>
