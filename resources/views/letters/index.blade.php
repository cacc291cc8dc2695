<x-layout title="What our letters say" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('verification.index') }}">To be verified</a></nav>
    <h1>What our letters say</h1>
    <p class="sentence">Letters to people outside the house. A Steward changes what they say; those that were written already stay as they were.</p>
    <table class="sheet">
        <thead><tr><th scope="col">Letter</th><th scope="col">Its subject, for three names</th><th scope="col">Whose words</th><th scope="col"><span class="hide">Change</span></th></tr></thead>
        <tbody>
        @foreach ($kinds as $kind)
            @php($shown = $sample($kind, $texts->of($kind), 3))
            <tr><th scope="row">{{ $words->say('letters.title.'.$kind->value) }}</th>
                <td data-label="Its subject">{{ $shown->subject }}<details><summary>What it says</summary><pre class="letter" tabindex="0">{{ $shown->body }}</pre></details></td>
                <td data-label="Whose words">{{ isset($own[$kind->value]) ? 'ours, since '.App\Support\Dates::full(Acre\Core\Time\Instant::from($own[$kind->value]->updated_at)) : 'as it ships' }}</td>
                <td>@can('settle')<a href="{{ route('letter-texts.edit', $kind) }}">Change</a>@endcan</td></tr>
        @endforeach
        </tbody>
    </table>
</x-layout>
