@php($today = $contact->today)
<x-layout :title="$value->called()" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('contacts.index') }}">Who stands behind the names</a>@if ($contact->client !== null) / <a href="{{ route('clients.show', $contact->client) }}">{{ $contact->client->name }}</a>@endif</nav>
    <div class="head">
        <h1><bdi>{{ $value->called() }}</bdi></h1>
        <p class="head-deeds">@can('prepare')<a class="button main" href="{{ route('contacts.edit', $contact) }}">Change it</a>@endcan <a class="button" href="{{ route('contacts.card', $contact) }}">Its card</a> @can('settle')<a class="button" href="{{ route('contacts.erase', $contact) }}">Erase</a>@endcan</p>
    </div>
    <p class="sentence">Contact {{ $contact->id }}, {{ $words->say('contacts.kind.'.$contact->kind->value) }}, behind @if ($count > 1)<a href="{{ route('roll', ['contact' => $contact->id]) }}">{{ number_format($count) }} names</a>@else{{ $count === 1 ? 'one name' : 'no name' }}@endif{{ $contact->client === null ? '' : ', known by '.$contact->client->name }}.
                @if ($contact->client === null)<span class="is-soon">{{ __('No :served has said that this is theirs.') }}</span>@endif
                @foreach ($risks as $risk => $many)@continue(in_array($risk, ['holder_unknown', 'not_told'], true))<span class="{{ Acre\Core\Contact\ContactFinding::from($risk)->cost() === Acre\Core\Finding\Cost::Attention ? 'is-soon' : 'is-bad' }}">{{ $words->say('contacts.risk.'.$risk) }}: {{ $many === 1 ? 'one name' : number_format($many).' names' }}.</span> @endforeach</p>
    @if ($untold > 0)
        <form method="post" action="{{ route('contacts.tell', $contact) }}" class="card told-soon">@csrf
            <p>{{ $untold === 1 ? 'The registrar of one name still has' : 'The registrars of '.number_format($untold).' names still have' }} what stood here before. @can('prepare')<button>{{ $untold === 1 ? 'Tell it' : 'Tell them' }}</button>@endcan</p>
        </form>
    @endif
    <div class="cards">
        <section class="card" aria-labelledby="says"><h2 id="says">What it says</h2>
            <dl class="facts">
                @foreach (['organisation' => $value->organisation, 'person' => $value->person] as $field => $said)<div><dt>{{ ucfirst($words->say('contacts.field.'.($field === 'person' ? 'name' : $field))) }}</dt><dd>@if ($said === null)<span class="lesser">not known</span>@else<bdi>{{ $said }}</bdi>@endif</dd></div>@endforeach
                <div><dt>Address</dt><dd>@forelse ($value->address->lines() as $line)<span class="reason"><bdi>{{ $line }}</bdi></span>@empty<span class="lesser">not known</span>@endforelse</dd></div>
                <div><dt>Telephone</dt><dd>@if ($value->voice === null)<span class="lesser">not known</span>@else{{ $value->voice->text() }}<span class="lesser">told to registries as <span class="mono">{{ $value->voice->epp() }}</span></span>@endif</dd></div>
                @if ($value->local !== null)<div><dt>In its own script</dt><dd>@foreach (array_filter([$value->local->organisation, $value->local->person, ...$value->local->address->lines()]) as $line)<span class="reason"><bdi>{{ $line }}</bdi></span>@endforeach</dd></div>@endif
            </dl>
            @foreach ($findings as $finding)<p class="lesser"><span class="{{ $finding->tag->cost() === Acre\Core\Finding\Cost::Attention ? '' : 'is-soon' }}">{{ $words->finding($finding) }}.</span></p>@endforeach
        </section>
        <section class="card" aria-labelledby="reached"><h2 id="reached">How it is reached</h2>
            <dl class="facts">
                <div><dt>Mailbox</dt><dd>@if ($mailbox === null)<span class="is-bad">none</span>@else<span class="mono">{{ $mailbox->address }}</span><span class="lesser">{{ $words->say('contacts.takes_mail.'.$mailbox->takes_mail->value) }}{{ $mailbox->looked_on === null ? '' : ', seen on '.App\Support\Dates::full($mailbox->looked_on) }}</span>@endif</dd></div>
                @if ($mailbox !== null)
                    <div><dt>Verified</dt><dd>@if ($mailbox->verified_on === null)not as far as is known @else<span class="is-good">{{ App\Support\Dates::full($mailbox->verified_on) }}</span><span class="lesser">{{ $words->say('contacts.verification.by.'.$mailbox->verified_by) }}{{ $mailbox->verified_words === null ? '' : ': '.$mailbox->verified_words }}</span>@endif</dd></div>
                    <div><dt>It lies in</dt><dd>@if ($site === null)a name that is not on the Roll @else<a class="name" href="{{ route('names.show', $site->text('ascii')) }}">{{ $site->text('unicode') }}</a><span class="lesser">{{ $words->say('words.phase.'.$site->text('phase')) }}; meant to: {{ $words->say('words.intent.'.$site->text('intent')) }}</span>@endif</dd></div>
                    <div><dt>Letters to it</dt><dd>@forelse ($letters as $letter)<span class="reason">{{ $letter->instant('written_on') === null ? '' : App\Support\Dates::full($letter->instant('written_on')) }}: {{ $words->say('letters.state.'.$letter->text('state')) }}@if ($letter->instant('answered_at') !== null), <span class="is-good">and answered</span>@endif<span class="lesser"><bdi>{{ $letter->text('subject') }}</bdi></span></span>@empty none was written, so whether anybody reads it is not known @endforelse
                        @if ($mailbox->forwards_to !== null)<span class="is-soon reason">They are answered from <bdi class="mono">{{ $mailbox->forwards_to }}</bdi>: this one only forwards, and what must be approved from it can’t be.</span>@endif</dd></div>
                @endif
            </dl>
        </section>
    </div>
    <section class="card" aria-labelledby="used"><h2 id="used">Where it is used @if ($count > count($names))<span class="aside">the first {{ count($names) }} of {{ number_format($count) }}</span>@endif</h2>
        @if ($names === [])<p>It stands behind no name today.</p>@else
        <table class="sheet low">
            <thead><tr><th scope="col">Name</th><th scope="col">As</th><th scope="col">Since</th><th scope="col">Held for</th><th scope="col">At</th></tr></thead>
            <tbody>@foreach ($names as $name)<tr>
                <th scope="row"><a class="name" href="{{ route('names.show', $name->text('ascii')) }}">{{ $name->text('unicode') }}</a></th>
                <td data-label="As">{{ implode(', ', array_map(fn (string $role): string => $words->say('contacts.role.'.$role), explode(',', $name->text('roles')))) }}</td>
                <td data-label="Since">{{ $name->instant('since') === null ? '' : App\Support\Dates::full($name->instant('since')) }}</td>
                <td data-label="Held for">{{ $name->textOrNull('client_name') }}</td><td data-label="At">{{ $name->textOrNull('registrar_name') }}</td></tr>@endforeach</tbody>
        </table>
        @endif
    </section>
    @if ($alike !== [] && $itself !== null)
        <section class="card" aria-labelledby="alike"><h2 id="alike">Nearly the same</h2>@include('contacts.group', ['contacts' => $alike, 'self' => $contact->id, 'of' => $itself])</section>
    @endif
    <section class="card" aria-labelledby="was"><h2 id="was">As it was</h2>
        <dl class="facts facts-wide">
            @foreach ($contact->versions as $version)
                @php($older = $contact->versions[$loop->index + 1] ?? null)
                <div><dt>{{ $version->span->from === null ? 'since ever' : App\Support\Dates::full($version->span->from) }}</dt>
                    <dd>@if ($older === null)Written down, {{ $words->say('contacts.source.'.$version->source) }}@else{{ $changes->say($older->value($contact->kind), $version->value($contact->kind)) ?: 'What it is, or whose' }}@endif<span class="lesser">{{ $version->user?->name ?? 'Acre Roll' }}</span></dd></div>
            @endforeach
        </dl>
    </section>
</x-layout>
