<x-layout :title="__('imports.failed.title')" area="Roll">
    <nav class="trail" aria-label="{{ __('imports.where') }}"><a href="{{ route('imports.create') }}">{{ __('imports.title') }}</a> /
        {{ $import->file }}</nav>
    <h1>{{ __('imports.failed.title') }}</h1>
    <p class="told told-bad" role="alert">{{ $import->failure }}</p>
    <p>{{ __('imports.failed.nothing') }} <a href="{{ route('imports.create') }}">{{ __('imports.failed.again') }}</a></p>
    @include('imports.discard')
</x-layout>
