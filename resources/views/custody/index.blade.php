<x-layout title="Who can get in" area="People">
    @include('contacts.ways')
    <div class="head"><div><h1>Who can get in</h1><p class="sentence">Whose login, whose second factor, whose card, and the way back in: known for every account, or the names in it are at risk.</p></div></div>
    <div class="cards">
        <section class="card" aria-labelledby="people"><h2 id="people">What stops if they leave?</h2>
            <dl class="facts">@forelse ($custodians as $one)<div><dt><a href="{{ route('custody.show', $one) }}">{{ $one->name }}</a></dt><dd>{{ ($counts[$one->id] ?? 0) === 1 ? 'has a part of one account' : 'has a part of '.number_format($counts[$one->id] ?? 0).' accounts' }}@if ($one->left_on !== null), <span class="is-soon">and has left</span>@endif</dd></div>@empty<div><dt>Nobody</dt><dd>is written down yet</dd></div>@endforelse</dl>
            @can('prepare')<details><summary>Write a person down</summary><form method="post" action="{{ route('custody.store') }}" class="fields">@csrf<div class="columns"><x-field name="name" label="Name" required maxlength="200"/><x-field name="mailbox" label="Mailbox" type="email" maxlength="320"/></div><p><button>Write down</button></p></form></details>@endcan
        </section>
    </div>
    <table class="sheet">
        <thead><tr><th scope="col">Account</th><th scope="col" class="sum">Names</th><th scope="col">Can sign in</th><th scope="col">Second factor, card</th><th scope="col">At risk</th></tr></thead>
        <tbody>
        @foreach ($accounts as ['account' => $account, 'custody' => $custody])
            @php($of = fn ($part) => implode(', ', array_map(fn ($one) => $one->name.($one->hasLeft ? ' (has left)' : '').($one->goodUntil === null ? '' : ', until '.App\Support\Dates::full($one->goodUntil)), array_filter($custody->custodians, fn ($one) => $one->part === $part))))
            <tr>
                <th scope="row"><a href="{{ route('accounts.show', $account->int('id')) }}">{{ $account->text('registrar_name') }} {{ $account->text('number') }}</a><span class="lesser mono">{{ $account->textOrNull('mailbox') ?? 'no login mailbox written down' }}</span></th>
                <td class="sum" data-label="Names">{{ number_format($account->int('names')) }}</td>
                <td data-label="Can sign in">{{ $of(Acre\Core\Contact\CustodyPart::SignsIn) ?: 'nobody written down' }}</td>
                <td data-label="Second factor, card">{{ $of(Acre\Core\Contact\CustodyPart::SecondFactor) ?: 'none written down' }}<span class="lesser">card: {{ $of(Acre\Core\Contact\CustodyPart::Card) ?: 'none written down' }}</span></td>
                <td data-label="At risk">@foreach ($custody->findings() as $finding)<span class="reason {{ $finding->tag->cost() === Acre\Core\Finding\Cost::Attention ? '' : 'is-bad' }}">{{ $words->finding($finding) }}.</span>@endforeach</td>
            </tr>
        @endforeach
        </tbody>
    </table>
    <x-cut :shown="count($accounts)" :most="App\Queries\Custody\ReadCustody::MOST">Rounds tells of those that nobody can get into.</x-cut>
</x-layout>
