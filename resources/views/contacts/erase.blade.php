@php($title = $erased === null ? "Erase contact {$contact->id}" : "Contact {$contact->id} is erased")
<x-layout :title="$title" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('contacts.index') }}">Who stands behind the names</a> / <a href="{{ route('contacts.show', $contact) }}">{{ $contact->today->called === '' ? 'contact '.$contact->id : $contact->today->called }}</a></nav>
    <h1>{{ $title }}</h1>
    @if ($erased !== null)
        <p class="sentence">Erased on {{ App\Support\Dates::full($erased->instant('erased_on')) }}, as was asked on {{ App\Support\Dates::full($erased->instant('asked_on')) }}.</p>
        <section class="card"><h2>The proof</h2>
            <dl class="facts">
                @foreach ($erased->json('counts') as $kind => $count)<div><dt>{{ $words->say('contacts.erase.counts.'.$kind) }}</dt><dd>{{ number_format($count) }}</dd></div>@endforeach
                <div><dt>How it was asked for</dt><dd><bdi>{{ $erased->text('words') }}</bdi></dd></div>
                <div><dt>Digest</dt><dd class="mono">{{ $erased->text('digest') }}</dd></div>
            </dl>
            <p class="lesser">SHA-256 of a salt that was thrown away and the values as they stood: nobody can find them by it.</p>
            @if ($proof !== null)<p>Proof {{ $proof->position }} of the house’s chain: <a href="{{ route('contacts.erase.proof', $contact) }}">download its text</a>, whose SHA-256 is <span class="mono">{{ $proof->sha256 }}</span>.</p>@endif
        </section>
    @else
        <div class="cards apart">
            <section class="card"><h2>What goes</h2><ul><li>every version of what the contact says, and of what became part of it</li><li>its mailbox, where no other contact, account or {{ __(':served') }} has it, and the letters to it</li><li>what lists that were brought in had said of it</li></ul></section>
            <section class="card"><h2>What stays, and why</h2><ul><li>that contact {{ $contact->id }} was the registrant of which name, from when to when: the chain of title of names that are others’ by now</li><li>log, dockets and proofs: they name people by number only</li><li>which texts were agreed to for names, when, and on whose authority: without that nobody could show that a name was rightly passed on</li><li>what public directories said, as it was published</li><li>notes and remarks in people’s own words: nothing finds a person in them for sure, so read them and take out what names them</li></ul></section>
        </div>
        @if ($stands > 0)
            <p class="told told-bad">It can’t be erased yet: it stands behind {{ $stands === 1 ? 'one name' : number_format($stands).' names' }} today, and a name must have a holder who can be reached. <a href="{{ route('roll', ['contact' => $contact->id]) }}">Give them another registrant first</a>.</p>
        @else
            <form method="post" action="{{ route('contacts.erase.store', $contact) }}" class="card fields" data-once>
                @csrf
                <div class="columns"><x-field name="asked_on" type="date" label="It was asked for on" :value="$today->date()" required/><x-field name="words" label="How it was asked for" maxlength="1000" required note="By letter, by mail; without the person’s name"/></div>
                <p><button class="grave">Erase it for good</button> <span class="lesser">This can’t be undone by anybody.</span></p>
            </form>
        @endif
    @endif
</x-layout>
