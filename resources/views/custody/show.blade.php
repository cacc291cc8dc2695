<x-layout :title="'If '.$custodian->name.' leaves'" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('custody.index') }}">Who can get in</a></nav>
    <div class="head">
        <div><h1>What stops if {{ $custodian->name }} leaves?</h1>
            <p class="sentence">@if ($accounts === [])Nothing: no part of any account is written down as theirs.@elseif ($stops === [])Nothing stops: of everything they have a part of, somebody else has it too.@else<strong>{{ count($stops) === 1 ? 'One account' : count($stops).' accounts' }}</strong>, with {{ ($many = array_sum(array_map(fn ($id) => $accounts[$id]['account']->int('names'), array_keys($stops)))) === 1 ? 'one name' : number_format($many).' names' }} in {{ count($stops) === 1 ? 'it' : 'them' }}, {{ count($stops) === 1 ? 'has' : 'have' }} something that nobody else has.@endif @if ($custodian->left_on !== null)<span class="is-soon">Has left on {{ App\Support\Dates::full($custodian->left_on) }}.</span>@endif</p></div>
        @can('settle')<form method="post" action="{{ route('custody.leave', $custodian) }}" class="head-deeds">@csrf<button>{{ $custodian->left_on === null ? 'Has left' : 'Is back' }}</button></form>@endcan
    </div>
    @php($open = $handings->firstWhere('closed_on', null))
    @if ($open !== null)<div class="card told-soon apart"><p>All of it is being handed to {{ $open->to->name }}: <a href="{{ route('custody.handing', $open) }}">open the slip</a>.</p></div>@endif
    @if ($accounts !== [])
        <table class="sheet">
            <caption class="hide">The accounts of which {{ $custodian->name }} has a part</caption>
            <thead><tr><th scope="col">Account</th><th scope="col" class="sum">Names</th><th scope="col">What they have of it</th><th scope="col">Stops with them</th></tr></thead>
            <tbody>
            @foreach ($accounts as $id => ['account' => $account, 'custody' => $custody])
                @php($theirs = array_map(fn ($one) => $words->say('contacts.custody.part.'.$one->part->value), array_filter($custody->custodians, fn ($one) => $one->id === $custodian->id)))
                <tr>
                    <th scope="row"><a href="{{ route('accounts.show', $id) }}">{{ $account->text('registrar_name') }} {{ $account->text('number') }}</a></th>
                    <td class="sum" data-label="Names">{{ number_format($account->int('names')) }}</td>
                    <td data-label="What they have of it">{{ implode(', ', $theirs) }}</td>
                    <td data-label="Stops with them">@if (($stops[$id] ?? []) === [])<span class="lesser">nothing: others have it too</span>@else<span class="is-bad">{{ implode(', ', array_map(fn ($part) => $words->say('contacts.custody.part.'.$part->value), $stops[$id])) }}</span>@endif</td>
                </tr>
            @endforeach
            </tbody>
        </table>
        @can('settle')
            @if ($open === null)
                <x-slot:foot><div class="foot" role="region" aria-label="Hand over">
                    <div class="foot-say"><p><strong>Hand over</strong> all that {{ $custodian->name }} has.</p><p class="lesser">A slip says what to do at each account; nothing changes here before it is ticked as done there.</p></div>
                    <form method="post" action="{{ route('custody.hand-over', $custodian) }}">@csrf <label for="to">to</label> <select id="to" name="to"><option value="">choose</option>@foreach ($others as $id => $name)<option value="{{ $id }}">{{ $name }}</option>@endforeach</select>
                    <button class="main">Begin</button></form>
                </div></x-slot:foot>
            @endif
        @endcan
    @endif
    @if ($handings->isNotEmpty())
        <section class="card apart" aria-labelledby="handed"><h2 id="handed">Handed to others</h2>
            <ul class="plain-list">@foreach ($handings as $one)<li><a href="{{ route('custody.handing', $one) }}">to {{ $one->to->name }}</a><span class="lesser">begun on {{ App\Support\Dates::full($one->opened_on) }}, {{ $one->closed_on === null ? 'under way' : 'closed on '.App\Support\Dates::full($one->closed_on) }}</span></li>@endforeach</ul>
        </section>
    @endif
</x-layout>
