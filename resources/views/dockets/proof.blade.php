<x-layout :title="'Proof of docket '.$docket->id" area="Movements">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('dockets.index') }}">Movements</a> / <a href="{{ route('dockets.show', $docket) }}">docket {{ $docket->id }}</a> / proof</nav>
    <article class="deed-paper">
        <x-letterhead/>
        <h1>Proof of what happened</h1>
        <p>On {{ App\Support\Dates::full($docket->settled_on) }} we began: {{ lcfirst($deed->headline($docket->terms, count($lines))) }}@if ($receiver !== null), to the account <strong>{{ $receiver->number }}</strong> at {{ $receiver->registrar->name }}{{ $receiver->owner === null ? '' : ', which belongs to '.$receiver->owner->name }}@endif. By {{ App\Support\Dates::full($docket->closed_on) }} each of them had come to an end, as follows.</p>
        <table class="sheet low">
            <thead><tr><th scope="col">Name</th><th scope="col">Before</th><th scope="col">After</th><th scope="col">Result</th></tr></thead>
            <tbody>
            @foreach ($lines as $line)
                @php($done = $line->state === App\Models\LineState::Done)
                <tr><th scope="row"><span class="name">{{ $line->name->unicode }}</span>@if ($line->name->unicode !== $line->name->ascii)<span class="lesser mono">{{ $line->name->ascii }}</span>@endif</th>
                    <td data-label="Before">{{ $line->before['account'] ?? collect($line->before)->first() }}@isset($line->before['account'])<span class="lesser">for {{ $line->before['client'] ?? '' }}</span>@endisset</td>
                    <td data-label="After">{{ ($done ? $line->after : $line->before)['account'] ?? collect($done ? $line->after : $line->before)->first() }}@isset($line->before['account'])<span class="lesser">for {{ ($done ? $line->after : $line->before)['client'] ?? '' }}</span>@endisset</td>
                    <td data-label="Result">@if ($done){{ $receiver === null ? 'done' : 'handed over' }} on {{ App\Support\Dates::full($line->done_on) }}@else{{ $words->say('words.line_state.'.$line->state->value) }}@if ($line->reason !== null)<span class="lesser">{{ $line->reason }}</span>@endif @endif</td></tr>
            @endforeach
            </tbody>
        </table>
        <h2>How to check it</h2>
        <p>The same facts stand in the text below, whose SHA-256 is</p>
        <p class="values">{{ $proof->sha256 }}</p>
        <p>Anybody can work it out again: <a href="{{ route('dockets.proof-text', $docket) }}">download the text</a> and run <code class="mono">sha256sum docket-{{ $docket->id }}.txt</code>. The text carries the digest of the proof before it, so that none can be changed or left out later without every later one showing it.</p>
        <details open><summary>The text</summary><pre tabindex="0">{{ $proof->text }}</pre></details>
        <p class="no-paper head-deeds"><a class="button main" href="{{ route('dockets.proof-text', $docket) }}">Download the text</a> <button type="button" data-print>Print</button></p>
    </article>
</x-layout>
