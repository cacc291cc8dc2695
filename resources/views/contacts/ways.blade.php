<nav class="ways" aria-label="{{ __('contacts.ways.people') }}">
    @foreach (__('contacts.ways.pages') as $route => $word)
        <a href="{{ route($route) }}" @if (request()->routeIs($route)) aria-current="page" @endif>{{ $word }}</a>
    @endforeach
</nav>
