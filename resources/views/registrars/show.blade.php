<x-layout :title="$registrar->name" area="Outside">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('registrars.index') }}">Registrars</a> / {{ $registrar->name }}</nav>
    <div class="head">
        <div><h1>{{ $registrar->name }}</h1>
            <p class="sentence">Reached {{ explode(':', __('words.link.'.$registrar->link))[0] }}. A receiver is named by <strong>{{ __('words.receiver_by.'.$registrar->receiver_by->value) }}</strong>; a handover is settled when <strong>{{ __('words.confirms.'.$registrar->confirms->value) }}</strong>, within {{ $registrar->accept_days }} days.</p></div>
        @can('prepare')<p class="head-deeds"><a class="button" href="{{ route('registrars.edit', $registrar) }}">Change the terms</a></p>@endcan
    </div>
    <div class="cards">
        <section class="card" aria-labelledby="ho"><h2 id="ho">Handovers</h2>
            <dl class="facts">
                <div><dt>{{ __('registrars.page') }}</dt><dd>@if ($registrar->page === null){{ __('registrars.none') }}@else<a href="{{ $registrar->page }}" rel="noopener noreferrer" target="_blank">{{ $registrar->page }}</a>@endif</dd></div>
                <div><dt>{{ __('registrars.telephone') }}</dt><dd>{{ $registrar->telephone ?? __('registrars.none') }}</dd></div>
                <div><dt>Giving account</dt><dd>{{ $registrar->names_giver ? 'named in the same way' : 'not asked for' }}</dd></div>
                <div><dt>Lock</dt><dd>{{ $registrar->lock_first ? 'must be lifted first' : 'may stay on' }}</dd></div>
                <div><dt>Giving account itself</dt><dd>{{ $registrar->unlock_account_first ? 'must be unlocked first' : 'need not be unlocked' }}</dd></div>
                <div><dt>A receiver accepts</dt><dd>{{ __('words.accepts_by.'.$registrar->accepts_by) }}</dd></div>
                @if ($registrar->gate !== null)<div><dt>Its gate</dt><dd><span class="mono">{{ $registrar->gate }}</span><span class="lesser">{{ $registrar->gate_a_minute === null ? 'no limit is known' : number_format($registrar->gate_a_minute).' commands a minute at most' }}</span></dd></div>@endif
                <div><dt>A new name</dt><dd>{{ $registrar->handover_hold_days === 0 ? 'may be handed over at once' : 'may be handed over after '.$registrar->handover_hold_days.' days' }}</dd></div>
                <div><dt>In public records</dt><dd>{{ $registrar->behind === [] ? 'under its own name' : implode(', ', $registrar->behind) }}</dd></div>
                <div><dt>A <span class="term" title="{{ __('words.explained.lot') }}">lot</span></dt><dd>{{ number_format($registrar->lot_size) }} names at most</dd></div>
                @foreach (Acre\Core\Movement\ExtraKind::cases() as $kind)
                    <div><dt>{{ ucfirst(__('words.extra.'.$kind->value)) }}</dt><dd>{{ isset($registrar->extras[$kind->value]) ? __('words.fate.'.$registrar->extras[$kind->value]) : 'not known' }}</dd></div>
                @endforeach
            </dl>
        </section>
        <section class="card" aria-labelledby="end"><h2 id="end">Around a name’s end</h2>
            <dl class="facts">
                <div><dt>Renewal charged</dt><dd>{{ $registrar->charge_lead_days === 0 ? 'on the day of the end' : $registrar->charge_lead_days.' days before the end' }}</dd></div>
                <div><dt>Stops answering</dt><dd>{{ $registrar->dark_after_days === null ? 'not known' : ($registrar->dark_after_days === 0 ? 'with the end' : $registrar->dark_after_days.' days after the end') }}</dd></div>
                <div><dt>Plain price</dt><dd>{{ $registrar->plain_after_days === null ? 'not known' : 'until '.$registrar->plain_after_days.' days after the end' }}</dd></div>
                <div><dt>Renewable at all</dt><dd>{{ $registrar->late_until_days === null ? 'not known' : 'until '.$registrar->late_until_days.' days after the end' }}</dd></div>
                <div><dt>Remarks</dt><dd>{{ $registrar->remarks ?? 'none' }}</dd></div>
            </dl>
        </section>
        <section class="card" aria-labelledby="acc"><h2 id="acc">Accounts</h2>
            <dl class="facts">
                @forelse ($accounts as $account)
                    <div><dt><a href="{{ route('accounts.show', $account) }}">{{ $account->number }}</a></dt><dd>{{ $account->owner?->name ?? 'the house’s own' }}<span class="lesser">{{ __('words.access.'.$account->access) }}</span></dd><dd><a href="{{ route('roll', ['account' => $account->id]) }}">{{ number_format(($tallies[$account->id] ?? null)?->int('names') ?? 0) }}</a></dd></div>
                @empty
                    <div><dt>None</dt><dd>yet</dd></div>
                @endforelse
            </dl>
            <x-cut :shown="count($accounts)" :most="App\Http\Registrars\RegistrarController::LISTED"><a href="{{ route('accounts.index', ['q' => $registrar->name]) }}">Accounts are found there.</a></x-cut>
            @can('prepare')<p><a href="{{ route('accounts.create', ['registrar' => $registrar->id]) }}">Write down an account here</a></p>@endcan
        </section>
    </div>
    <section id="prices" aria-labelledby="prices-h">
        <table class="sheet low">
            <caption id="prices-h">Prices</caption>
            <thead><tr><th scope="col">Suffix</th><th scope="col">For</th><th scope="col" class="sum">Before tax</th><th scope="col" class="sum">Tax</th><th scope="col" class="sum">Paid</th><th scope="col">From</th><th scope="col">Until</th></tr></thead>
            <tbody>
            @forelse ($prices as $one)
                <tr @class(['is-past' => ! $one->span->contains($today)])>
                    <th scope="row" class="mono">.{{ $one->suffix }}</th><td data-label="For">{{ __('words.action.'.$one->action) }}</td>
                    <td class="sum" data-label="Before tax">{{ $one->net()->text() }}</td><td class="sum" data-label="Tax">{{ rtrim(rtrim($one->tax_percent, '0'), '.') }} %</td><td class="sum" data-label="Paid">{{ $one->gross()->text() }}</td>
                    <td data-label="From">{{ App\Support\Dates::full($one->span->from) }}</td><td data-label="Until">{{ $one->span->until === null ? 'further notice' : App\Support\Dates::full($one->span->until) }}</td>
                </tr>
            @empty
                <tr><td colspan="7">No price is written down, so no sum can be said of its names.</td></tr>
            @endforelse
            </tbody>
        </table>
        @can('prepare')
            <form method="post" action="{{ route('registrars.prices.store', $registrar) }}" class="card fields">
                @csrf
                <h2>A new price</h2>
                <div class="columns">
                    <x-field name="suffix" label="Suffix" placeholder="co.uk" required maxlength="100"/>
                    <div class="field"><label for="f-action">For</label><select id="f-action" name="action">@foreach (App\Models\Price::ACTIONS as $action)<option value="{{ $action }}" @selected(old('action', 'renew') === $action)>{{ __('words.action.'.$action) }}</option>@endforeach</select></div>
                    <x-field name="amount" label="Before tax" inputmode="decimal" required/>
                    <x-field name="currency" label="Currency" :value="config('house.currency')" maxlength="3" required/>
                    <x-field name="tax_percent" label="Tax, per cent" inputmode="decimal" value="0"/>
                    <x-field name="since" label="From" type="date" :value="$today->date()" required note="The price before it ends on this day"/>
                </div>
                <p><button>Set this price</button></p>
            </form>
        @endcan
    </section>
</x-layout>
