<x-layout title="Nearly the same" area="People">
    @include('contacts.ways')
    <h1>Nearly the same</h1>
    <p class="sentence">Contacts that are called alike once capitals, accents and legal forms are left aside. Where they stand behind names at two registrars, a registrar that compares them refuses a move.</p>
    @forelse ($groups as $group)
        <section class="card"><h2>{{ $group['contacts'][0]->text('called') }} @if ($group['registrars'] > 1)<span class="aside is-soon">at {{ $group['registrars'] }} registrars: a move would be compared</span>@endif</h2>
            @include('contacts.group', ['contacts' => $group['contacts']])
        </section>
    @empty
        <div class="empty"><h2>No two are alike</h2><p>Contacts that come with the next list are compared as they come.</p></div>
    @endforelse
    <nav class="turn" aria-label="Pages">@if ($page > 1)<a href="{{ route('contacts.alike', ['page' => $page - 1]) }}">Back</a>@endif @if ($more)<a href="{{ route('contacts.alike', ['page' => $page + 1]) }}" rel="next">More</a>@endif</nav>
</x-layout>
