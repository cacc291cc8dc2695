<x-layout :title="$client->name" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('clients.index') }}">Clients</a> / {{ $client->name }}</nav>
    <div class="head">
        <div><h1>{{ $client->name }}</h1>
            <p class="sentence">@if ($names === null) No name is held for {{ $client->is_house ? 'us' : 'them' }} yet. @else <a href="{{ route('roll', ['client' => $client->id]) }}">{{ number_format($names->int('names')) }} {{ $names->int('names') === 1 ? 'name' : 'names' }}</a> held for {{ $client->is_house ? 'ourselves' : 'them' }}@if ($names->int('grave') > 0), <span class="is-bad">{{ $names->int('grave') }} of which {{ $names->int('grave') === 1 ? 'needs' : 'need' }} somebody now</span>@endif. @endif @if ($watched > 0)<a href="{{ route('roll', ['client' => $client->id, 'finding' => 'lifecycle.watched']) }}">{{ ($watched === 1 ? 'One' : number_format($watched)).($names === null ? '' : ' more').($watched === 1 ? ' is' : ' are') }} only watched</a>.@endif</p></div>
        <p class="head-deeds">@if ($names !== null)<a class="button" href="{{ route('clients.sheet', $client) }}">Their sheet</a> @endif @can('prepare')<a class="button" href="{{ route('clients.edit', $client) }}">Change</a>@endcan</p>
    </div>
    <div class="cards">
        <section class="card" aria-labelledby="where"><h2 id="where">Where their names are held</h2>
            <dl class="facts">@forelse ($held as $row)<div><dt>{{ $row->text('registrar_name') }}</dt><dd><a href="{{ route('accounts.show', $row->int('account_id')) }}">account {{ $row->text('account_number') }}</a></dd><dd><a href="{{ route('roll', ['client' => $client->id, 'account' => $row->int('account_id')]) }}">{{ number_format($row->int('names')) }} {{ $row->int('names') === 1 ? 'name' : 'names' }}</a></dd></div>@empty<div><dt>Nowhere</dt><dd>no name is held for them</dd></div>@endforelse</dl>
        </section>
        <section class="card" aria-labelledby="own"><h2 id="own">Accounts of their own</h2>
            <dl class="facts">@forelse ($accounts as $account)<div><dt>{{ $account->registrar->name }}</dt><dd><a href="{{ route('accounts.show', $account) }}">{{ $account->number }}</a>@if ($account->login !== null)<span class="lesser">{{ $account->login }}</span>@endif</dd><dd>{{ $account->access === 'ours' ? 'we can sign in' : 'theirs alone' }}</dd></div>@empty<div><dt>None</dt><dd>{{ $client->is_house ? __('the house’s accounts belong to no :served') : 'their names are kept in ours' }}</dd></div>@endforelse</dl>
        </section>
        <section class="card" aria-labelledby="known"><h2 id="known">What is known</h2>
            <dl class="facts"><div><dt>Mailbox</dt><dd>{{ $client->mailbox ?? 'not written down' }}</dd></div><div><dt>Remarks</dt><dd>{{ $client->remarks ?? 'none' }}</dd></div></dl>
        </section>
    </div>
    <x-notes :of="$client" route="notes.on-client"/>
</x-layout>
