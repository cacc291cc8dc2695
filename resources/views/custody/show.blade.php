<x-layout :title="'If '.$custodian->name.' leaves'" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('custody.index') }}">Who can get in</a></nav>
    <div class="head">
        <div><h1>What stops if {{ $custodian->name }} leaves?</h1>
            <p class="sentence">@if ($accounts === [])Nothing: no part of any account is written down as theirs.@elseif ($stops === [])Nothing stops: of everything they have a part of, somebody else has it too.@else<strong>{{ count($stops) === 1 ? 'One account' : count($stops).' accounts' }}</strong>, with {{ ($many = array_sum(array_map(fn ($id) => $accounts[$id]['account']->int('names'), array_keys($stops)))) === 1 ? 'one name' : number_format($many).' names' }} in {{ count($stops) === 1 ? 'it' : 'them' }}, {{ count($stops) === 1 ? 'has' : 'have' }} something that nobody else has.@endif @if ($custodian->left_on !== null)<span class="is-soon">Has left on {{ App\Support\Dates::full($custodian->left_on) }}.</span>@endif</p></div>
        @can('settle')<form method="post" action="{{ route('custody.leave', $custodian) }}" class="head-deeds">@csrf<button>{{ $custodian->left_on === null ? 'Has left' : 'Is back' }}</button></form>@endcan
    </div>
    @foreach (['to', 'accounts'] as $key)@error($key)<p class="told told-bad" role="alert">{{ $message }}</p>@enderror @endforeach
    @if ($accounts !== [])
        <form method="post" action="{{ route('custody.hand-over', $custodian) }}" id="hand">
            @csrf
            <table class="sheet">
                <caption class="hide">The accounts of which {{ $custodian->name }} has a part, and what to do at each</caption>
                <thead><tr><th class="c-tick" scope="col"><span class="hide">Done</span></th><th scope="col">Account</th><th scope="col" class="sum">Names</th><th scope="col">Stops with them</th><th scope="col">What to do there</th></tr></thead>
                <tbody>
                @foreach ($accounts as $id => ['account' => $account, 'custody' => $custody])
                    @php($theirs = array_map(fn ($one) => $one->part, array_filter($custody->custodians, fn ($one) => $one->id === $custodian->id)))
                    <tr>
                        <td class="c-tick"><input type="checkbox" name="accounts[]" value="{{ $id }}" aria-label="Done at {{ $account->text('registrar_name') }} {{ $account->text('number') }}"></td>
                        <th scope="row"><a href="{{ route('accounts.show', $id) }}">{{ $account->text('registrar_name') }} {{ $account->text('number') }}</a></th>
                        <td class="sum" data-label="Names">{{ number_format($account->int('names')) }}</td>
                        <td data-label="Stops with them">@if (($stops[$id] ?? []) === [])<span class="lesser">nothing: others have it too</span>@else<span class="is-bad">{{ implode(', ', array_map(fn ($part) => $words->say('contacts.custody.part.'.$part->value), $stops[$id])) }}</span>@endif</td>
                        <td data-label="What to do there"><ol class="steps">@foreach ($theirs as $part)<li>{{ $words->say('contacts.custody.do.'.$part->value, ['who' => $custodian->name]) }}</li>@endforeach</ol></td>
                    </tr>
                @endforeach
                </tbody>
            </table>
        </form>
        @can('settle')
            <x-slot:foot><div class="foot" role="region" aria-label="Hand over">
                <div class="foot-say"><p><strong>Hand over</strong> what is done at the ticked accounts.</p><p class="lesser">A card stays its holder’s: the new person’s is written down at the account. Who had what before stays readable.</p></div>
                <label for="to">to</label> <select form="hand" id="to" name="to"><option value="">choose</option>@foreach ($others as $id => $name)<option value="{{ $id }}">{{ $name }}</option>@endforeach</select>
                <button form="hand" class="main">It is handed over</button>
            </div></x-slot:foot>
        @endcan
    @endif
</x-layout>
