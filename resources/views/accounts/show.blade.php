<x-layout :title="'Account '.$account->number" area="Outside">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('registrars.show', $account->registrar) }}">{{ $account->registrar->name }}</a> / account {{ $account->number }}</nav>
    <div class="head">
        <div><h1>{{ $account->registrar->name }}, account <span class="name">{{ $account->number }}</span></h1>
            <p class="sentence">@if ($account->owner !== null)Belongs to <a href="{{ route('clients.show', $account->owner) }}">{{ $account->owner->name }}</a>@else{{ 'The house’s own' }}@endif, {{ $account->access === 'ours' ? 'and we can sign in to it' : 'and we can’t sign in to it' }}. Holds <a href="{{ route('roll', ['account' => $account->id]) }}">{{ number_format($tally?->int('names') ?? 0) }} names</a>.
            @if ($last !== null) Last took a handover on {{ App\Support\Dates::full($last->instant('at')) }} (<a href="{{ route('dockets.show', $last->int('docket_id')) }}">docket {{ $last->int('docket_id') }}</a>).@endif @if ($gate !== null && $suspended)<a class="is-bad" href="#gate">Nothing is sent to its gate</a> until somebody confirms its password.@endif</p></div>
        @can('prepare')<p class="head-deeds"><a class="button" href="{{ route('accounts.edit', $account) }}">Change</a></p>@endcan
    </div>
    @if ($unlocked !== null)
        <section class="card" aria-labelledby="unlocked"><h2 id="unlocked">Unlocked for <a href="{{ route('dockets.show', $unlocked) }}">docket {{ $unlocked }}</a></h2>
            <p><span class="is-bad">Nobody has said since that it is locked again</span>: until then {{ $words->say('words.leg.lock_account.otherwise') }}. Lock it at the registrar’s own page.</p>
            @can('settle')<form method="post" action="{{ route('accounts.locked', $account) }}">@csrf<p><button class="main">It is locked again</button></p></form>@endcan
        </section>
    @endif
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
    <section class="card apart" aria-labelledby="custody">
        <h2 id="custody">Who can get in</h2>
        @foreach (['custodian', 'part', 'good_until'] as $key)@error($key)<p class="told told-bad" role="alert">{{ $message }}</p>@enderror @endforeach
        @foreach ($custody->findings() as $finding)<p class="lesser {{ $finding->tag->cost() === Acre\Core\Finding\Cost::Attention ? 'is-soon' : 'is-bad' }}">{{ $words->finding($finding) }}.</p>@endforeach
        <dl class="facts facts-wide">
            @foreach ($custody->custodians as $one)
                <div><dt>{{ ucfirst($words->say('contacts.custody.part.'.$one->part->value)) }}</dt><dd><a class="in-text" href="{{ route('custody.show', $one->id) }}">{{ $one->name }}</a>{{ $one->goodUntil === null ? '' : ', good until '.App\Support\Dates::full($one->goodUntil) }}@if ($one->hasLeft) <span class="is-bad">has left</span>@endif</dd>
                    <dd>@can('settle')<form method="post" action="{{ route('custody.take', $account) }}">@csrf @method('delete')<input type="hidden" name="custodian" value="{{ $one->id }}"><input type="hidden" name="part" value="{{ $one->part->value }}"><button class="plain">No more</button></form>@endcan</dd></div>
            @endforeach
            <div><dt>Registrar’s letters</dt><dd class="mono">{{ $account->letters_to ?? $account->mailbox ?? 'not written down' }}</dd></div>
            <div><dt>Way back in</dt><dd>{{ $account->way_back ?? 'not written down' }}</dd><dd><a href="{{ route('custody.lost', $account) }}">If it is lost</a></dd></div>
        </dl>
        @can('settle')
            <details><summary>Give somebody a part of it</summary>
                <form method="post" action="{{ route('custody.give', $account) }}" class="ask">@csrf
                    <label for="custodian">Who</label> <select id="custodian" name="custodian">@foreach ($custodians as $id => $name)<option value="{{ $id }}">{{ $name }}</option>@endforeach</select>
                    <label for="part">has</label> <select id="part" name="part">@foreach (Acre\Core\Contact\CustodyPart::cases() as $part)<option value="{{ $part->value }}">{{ $words->say('contacts.custody.part.'.$part->value) }}</option>@endforeach</select>
                    <label for="good_until">a card, good until</label> <input id="good_until" type="date" name="good_until"> <button>Write down</button>
                </form>
            </details>
        @endcan
    </section>
    @if ($gate !== null)
        <section class="card apart" aria-labelledby="gate">
            <h2 id="gate">Its gate</h2>
            @error('gate')<p class="told told-bad" role="alert"><bdi>{{ $message }}</bdi></p>@enderror
            <p>@if ($account->access !== 'ours')Not ours to act in, so nothing is told there.@elseif ($account->gate_secret_id === null)<span class="is-soon">No password is kept</span>, so what is done in this account is done by slip. @elseif ($suspended)<span class="is-bad">Nothing is sent there.</span> Its password was given for <span class="mono">{{ App\Outside\Registrar\GatePin::host($account->gate_for) ?: 'another gate' }}</span>; the registrar’s gate is now <span class="mono">{{ $account->registrar->gate }}</span>@if ($account->registrar->gate_key !== null), with the key <span class="mono">{{ $account->registrar->gate_key }}</span>@endif. @can('settle')Confirm that the password is meant for it, or keep another. @else A Steward or an Owner must confirm that the password is meant for it. @endcan {{ $gate['open'] === 0 ? '' : trans_choice('outside.gate.wait', $gate['open'], ['count' => number_format($gate['open'])]) }} @else Signs in at <span class="mono">{{ $account->registrar->gate }}</span> as <span class="mono">{{ $account->number }}</span>; its password is kept, encrypted, and shown to nobody. {{ $gate['open'] === 0 ? 'Nothing waits there.' : number_format($gate['open']).' '.($gate['open'] === 1 ? 'order is' : 'orders are').' open.' }} @endif</p>
            @if ($account->access === 'ours')
                @can('settle')
                    @if ($suspended)
                        <form method="post" action="{{ route('accounts.gate.confirm', $account) }}" class="fields">@csrf<input type="hidden" name="gate" value="{{ App\Outside\Registrar\GatePin::of($account->registrar) }}">
                            <div class="columns"><x-own-password name="own_password" id="confirm-password" label="Your own password, once more"/></div>
                            <p><button class="main">Send the password to {{ $account->registrar->gate }} from now on</button></p>
                        </form>
                    @elseif ($account->gate_secret_id !== null)<form method="post" action="{{ route('accounts.gate.try', $account) }}">@csrf<p><button>Sign in there once</button></p></form>@endif
                    <details @if ($errors->has('own_password') || $errors->has('gate_password')) open @endif><summary>{{ $account->gate_secret_id === null ? 'Keep a password' : 'Keep another password, or none' }}</summary>
                        <form method="post" action="{{ route('accounts.gate', $account) }}" class="fields">
                            @csrf
                            <div class="columns"><x-own-password name="own_password" label="Your own password, once more"><x-field name="gate_password" type="password" label="Its password at the gate" autocomplete="off" maxlength="200" note="{{ $account->registrar->link === 'wire' ? __('outside.gate.password_note').' ' : '' }}Empty: forget the one that is kept"/></x-own-password></div>
                            <p><button>Keep it</button></p>
                        </form>
                    </details>
                @endcan
            @endif
            @if ($setbacks !== [])
                <h3 id="set-aside">Set aside</h3>
                <p class="lesser">These failed and stop nothing else; each is tried again by itself.</p>
                <x-setbacks :setbacks="$setbacks"/>
            @endif
            @if ($gate['orders'] !== [])
                <h3>Told last</h3>
                <dl class="facts facts-wide">@foreach ($gate['orders'] as $order)<div><dt>{{ __('outside.order_kind.'.$order->text('kind')) }}</dt><dd><a class="name" href="{{ route('names.show', $order->text('ascii')) }}">{{ $order->text('unicode') }}</a><span class="lesser"><bdi>{{ $order->textOrNull('answer') ?? '' }}</bdi></span></dd><dd>{{ __('outside.order_short.'.$order->text('state')) }}</dd></div>@endforeach</dl>
            @endif
            @if ($gate['messages'] !== [])
                <h3>Said last</h3>
                <dl class="facts facts-wide">@foreach ($gate['messages'] as $said)<div><dt>{{ $said->instant('said_at') === null ? 'some day' : App\Support\Dates::exact($said->instant('said_at')) }}</dt><dd><bdi>{{ $said->text('text') }}</bdi></dd></div>@endforeach</dl>
            @endif
        </section>
    @endif
    <x-notes :of="$account" route="notes.on-account"/>
</x-layout>
