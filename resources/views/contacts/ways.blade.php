<nav class="ways" aria-label="People">
    @foreach (['contacts.index' => 'Behind the names', 'clients.index' => __(':Served_many'), 'verification.index' => 'To be verified', 'custody.index' => 'Who can get in', 'received.index' => 'Letters that came', 'contacts.alike' => 'Nearly the same', 'patterns.index' => 'Patterns of disclosure'] as $route => $word)
        <a href="{{ route($route) }}" @if (request()->routeIs($route)) aria-current="page" @endif>{{ $word }}</a>
    @endforeach
</nav>
