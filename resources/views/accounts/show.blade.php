<x-layout :title="'Account '.$account->number" area="Outside">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('registrars.show', $account->registrar) }}">{{ $account->registrar->name }}</a> / account {{ $account->number }}</nav>
    <div class="head">
        <div><h1>{{ $account->registrar->name }}, account <span class="name">{{ $account->number }}</span></h1>
            <p class="sentence">@if ($account->owner !== null)Belongs to <a href="{{ route('clients.show', $account->owner) }}">{{ $account->owner->name }}</a>@else The house’s own @endif, {{ $account->access === 'ours' ? 'and we can sign in to it' : 'and we can’t sign in to it' }}. Holds <a href="{{ route('roll', ['account' => $account->id]) }}">{{ number_format($tally?->int('names') ?? 0) }} names</a>.
            @if ($last !== null) Last took a handover on {{ App\Support\Dates::full($last->instant('at')) }} (<a href="{{ route('dockets.show', $last->int('docket_id')) }}">docket {{ $last->int('docket_id') }}</a>).@endif</p></div>
        @can('prepare')<p class="head-deeds"><a class="button" href="{{ route('accounts.edit', $account) }}">Change</a></p>@endcan
    </div>
    <section class="card"><h2>What names it</h2>
        <dl class="facts">
            <div><dt>Number</dt><dd class="mono">{{ $account->number }}</dd></div>
            <div><dt>Login</dt><dd class="mono">{{ $account->login ?? 'not written down' }}</dd></div>
            <div><dt>Mailbox</dt><dd class="mono">{{ $account->mailbox ?? 'not written down' }}</dd></div>
            <div><dt>Public handle</dt><dd class="mono">{{ $account->handle ?? 'none written down' }}</dd></div>
            <div><dt>They belong together</dt><dd>@if ($account->proven_at === null)<span class="is-soon">Unproven</span><span class="lesser">Nobody has confirmed it. One mistyped character can give a name away: ask the owner to read them out, and write down when.</span>@else<span class="is-good">Known since {{ App\Support\Dates::full($account->proven_at) }}</span>@endif</dd></div>
            <div><dt>Remarks</dt><dd>{{ $account->remarks ?? 'none' }}</dd></div>
        </dl>
    </section>
    <x-notes :of="$account" route="notes.on-account"/>
</x-layout>
