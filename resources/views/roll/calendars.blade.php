<x-layout title="Calendars" area="Roll">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('roll') }}">The Roll</a> / calendars</nav>
    <h1>Calendars</h1>
    <p class="sentence">Addresses that your calendar program reads by itself. Whoever has one can read the dates of its names without signing in.</p>
    @if (session('address') !== null)<section class="card" aria-labelledby="new"><h2 id="new">The new address</h2><p>Put it into your calendar program now: it is shown this once.</p><p class="values" tabindex="0">{{ session('address') }}</p></section>@endif
    @if ($calendars->isEmpty())
        <div class="empty"><h2>No address yet</h2><p>On <a href="{{ route('roll') }}">the Roll</a>, under “Take away”, a sentence gets an address.</p></div>
    @else
        <table class="sheet"><caption class="hide">Your addresses</caption>
            <thead><tr><th scope="col">What it tells</th><th scope="col">Since</th><th scope="col">Last read</th><th scope="col"><span class="hide">Deed</span></th></tr></thead>
            <tbody>@foreach ($calendars as $one)<tr><th scope="row"><a href="{{ route('roll', $one->sentence) }}">{{ $one->sentence === [] ? 'every name' : collect($one->sentence)->map(fn ($value, $word) => $word.' '.$value)->join(', ') }}</a></th><td data-label="Since">{{ App\Support\Dates::full(Acre\Core\Time\Instant::from($one->created_at)) }}</td><td data-label="Last read">{{ $one->asked_at === null ? 'never' : App\Support\Dates::exact(Acre\Core\Time\Instant::from($one->asked_at)) }}</td><td class="sum"><form method="post" action="{{ route('calendars.destroy', $one) }}">@csrf @method('delete')<button class="grave">Take it back</button></form></td></tr>@endforeach</tbody></table>
    @endif
</x-layout>
