<x-layout :title="__('imports.working.' . $import->state->value)" area="Roll">
    <nav class="trail" aria-label="{{ __('imports.where') }}"><a href="{{ route('imports.create') }}">{{ __('imports.title') }}</a> /
        {{ $import->file }}</nav>
    <h1>{{ __('imports.working.' . $import->state->value) }}</h1>
    <p class="sentence" data-waiting="{{ route('imports.state', $import) }}" aria-live="polite">{{ $told }}</p>
    <p class="progress"><progress max="1" @if ($far !== null) value="{{ round($far, 3) }}" @endif
            aria-label="{{ __('imports.working.far') }}" data-far></progress></p>
    @if ($import->failure !== null)
        <p class="told told-bad">{{ $import->failure }}</p>
    @endif
    <noscript>
        <meta http-equiv="refresh" content="3">
    </noscript>
    <p class="lesser">{{ __('imports.working.leave') }} <a
            href="{{ route('imports.show', $import) }}">{{ __('imports.working.address') }}</a></p>
</x-layout>
