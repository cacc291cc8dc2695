@props(['current'])
<nav class="trail sections" aria-label="{{ __('settings.sections') }}">
    <span>{{ __('settings.title') }}</span>
    @foreach (__('settings.section') as $route => $said)
        <a href="{{ route($route) }}" @if ($route === $current) aria-current="page" @endif>{{ $said }}</a>
    @endforeach
</nav>
