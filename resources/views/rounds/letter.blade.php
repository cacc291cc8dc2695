<x-layout title="Rounds as a letter" area="Rounds">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('rounds') }}">Rounds</a> / as a letter</nav>
    <h1>Rounds as a letter</h1>
    <p class="sentence">{{ $wanted ? 'Written to '.$mailbox.' every morning.' : 'What it would say to '.$mailbox.' today.' }} {{ $byMail ? '' : 'No mail server is set, so letters are only kept here.' }}</p>
    <form method="post" action="{{ route('rounds.letter.update') }}" class="card">@csrf<input type="hidden" name="morning" value="{{ $wanted ? 0 : 1 }}"><p><button @class(['main' => ! $wanted])>{{ $wanted ? 'Write it no more' : 'Write it to me every morning' }}</button></p></form>
    <section class="card" aria-labelledby="today"><h2 id="today">{{ $subject }}</h2><pre class="letter" tabindex="0">{{ $letter }}</pre></section>
    @if ($before !== [])
        <section class="card" aria-labelledby="before"><h2 id="before">Written before</h2>
            @foreach ($before as $one)<details><summary>{{ App\Support\Dates::full(Acre\Core\Time\Instant::of($one->text('day'))) }}: {{ $one->text('subject') }}<span class="lesser"> {{ __('letters.state.'.$one->text('state')) }}@if ($one->textOrNull('answer') !== null): <bdi>{{ $one->text('answer') }}</bdi>@endif</span></summary><pre class="letter" tabindex="0">{{ $one->text('body') }}</pre></details>@endforeach
        </section>
    @endif
</x-layout>
