<nav class="ways" aria-label="{{ __('outside.ways.outside') }}">
    @foreach (__('outside.ways.pages') as $route => $word)
        <a href="{{ route($route) }}" @if (request()->routeIs($route)) aria-current="page" @endif>{{ $word }}</a>
    @endforeach
</nav>
