<nav class="ways" aria-label="Outside">
    @foreach (['drift.index' => 'Drift', 'record.index' => 'Public record', 'registrars.index' => 'Registrars', 'rulebook.index' => 'Rulebook', 'outside' => 'How it is looked at'] as $route => $word)
        <a href="{{ route($route) }}" @if (request()->routeIs($route)) aria-current="page" @endif>{{ $word }}</a>
    @endforeach
</nav>
