<nav class="ways" aria-label="Outside">
    @foreach (['outside' => 'How it is looked at', 'drift.index' => 'Drift', 'record.index' => 'Public record', 'registrars.index' => 'Registrars', 'rulebook.index' => 'Rulebook'] as $route => $word)
        <a href="{{ route($route) }}" @if (request()->routeIs($route)) aria-current="page" @endif>{{ $word }}</a>
    @endforeach
</nav>
