@php($names = fn ($part) => array_map(fn ($one) => $one->name, array_filter($custody['custody']->custodians, fn ($one) => $one->part === $part)))
<x-layout :title="'The way back into '.$account->number" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('accounts.show', $account) }}">{{ $account->registrar->name }} {{ $account->number }}</a></nav>
    <h1>The way back into {{ $account->registrar->name }} <span class="name">{{ $account->number }}</span></h1>
    @php($in = $custody['custody']->canSignIn())
    <p class="sentence">{{ $in === [] ? $words->count('contacts.custody.nobody_in', $custody['account']->int('names')) : $words->count('contacts.custody.can_sign_in', count($in), ['who' => implode(', ', $in)]) }} {{ __('contacts.custody.ways_in') }}</p>
    <section class="card slip"><h2>Slip</h2>
        <ol class="steps">
            <li><strong>Ask whoever holds the way back</strong><span class="lesser">{{ implode(', ', $names(Acre\Core\Contact\CustodyPart::WayBack)) ?: 'nobody is written down' }}</span>@if ($account->way_back !== null)<div class="copy"><span class="lesser">Written down</span> <code class="values" tabindex="0">{{ $account->way_back }}</code></div>@endif</li>
            <li><strong>Have a new password sent to the login mailbox</strong><div class="copy"><span class="lesser">Mailbox</span> <code class="values" tabindex="0">{{ $account->mailbox ?? 'not written down' }}</code></div>@if ($custody['custody']->site !== null)<span class="lesser">It lies in {{ $custody['custody']->site }}{{ $custody['custody']->siteIsInside ? ', which is kept in this very account: if that name is dark the letter comes to nobody' : '' }}.</span>@endif</li>
            <li><strong>Pass the second factor</strong><span class="lesser">{{ implode(', ', $names(Acre\Core\Contact\CustodyPart::SecondFactor)) ?: 'nobody is written down' }}; else by the recovery codes</span></li>
            <li><strong>Ask the registrar to prove that the account is {{ $account->owner === null ? 'ours' : $account->owner->name.'’s' }}</strong><div class="copy"><span class="lesser">Number</span> <code class="values" tabindex="0">{{ $account->number }}</code></div><div class="copy"><span class="lesser">Login</span> <code class="values" tabindex="0">{{ $account->login ?? 'not written down' }}</code></div><span class="lesser">With an invoice, the card that pays ({{ implode(', ', $names(Acre\Core\Contact\CustodyPart::Card)) ?: 'not written down' }}), and the registrant’s letter for one name in it.</span></li>
            <li><strong>Once inside</strong><span class="lesser">a second person who can sign in, another login mailbox, new recovery codes; write them down at the account.</span></li>
        </ol>
    </section>
</x-layout>
