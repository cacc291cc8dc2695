<nav class="ways" aria-label="{{ __('common.movements') }}">
    @foreach (__('movements.ways') as $route => $word)
        <a href="{{ route($route) }}" @if (request()->routeIs($route)) aria-current="page" @endif>{{ $word }}</a>
    @endforeach
</nav>
