@php($who = $purse->isTold ? __('money.registrar') : __('money.people'))
<x-layout :title="__('money.title', ['number' => $account->number])" area="Almanac">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('registrars.show', $account->registrar) }}">{{ $account->registrar->name }}</a> / <a
            href="{{ route('accounts.show', $account) }}">{{ $account->number }}</a> / {{ __('money.trail') }}</nav>
    <div class="head">
        <div>
            <h1>{{ __('money.heading', ['number' => $account->number, 'registrar' => $account->registrar->name]) }}</h1>
            <p class="sentence">
                @if ($purse->from === Acre\Core\Balance\PaidFrom::Balance && $purse->holds !== null)
                    {{ __('money.sentence.' . ($purse->isAsSaid ? 'balance' : 'balance_since'), [
                        'holds' => $purse->holds->text(),
                        'who' => $who,
                        'day' => App\Support\Dates::exact($purse->saidOn),
                    ]) }}
                    @if ($purse->ordered !== null)
                        {{ __('money.ordered', ['sum' => $purse->ordered->text()]) }}
                    @endif
                    @if ($low !== null)
                        <span class="is-soon">{{ __('money.low', [
                            'registrar' => $account->registrar->name,
                            'day' => App\Support\Dates::exact($low),
                        ]) }}</span>
                    @endif
                @elseif ($purse->from === Acre\Core\Balance\PaidFrom::Balance)
                    <span class="is-soon">{{ __('money.sentence.unknown') }}</span>
                @elseif ($purse->from === Acre\Core\Balance\PaidFrom::Card)
                    {{ $purse->cardEnds === null ? __('money.sentence.card_open') : __('money.sentence.card', [
                        'day' => App\Support\Dates::full($purse->cardEnds),
                    ]) }}
                @else
                    {{ __('money.sentence.invoice') }}
                @endif
            </p>
        </div>
        <div class="head-deeds">
            @if ($isLinked)
                @can('prepare')
                    <form method="post" action="{{ route('accounts.money.ask', $account) }}">@csrf<button>{{
                        __('money.ask')
                    }}</button></form>
                @endcan
            @endif
            <a class="button main"
                href="{{ route('almanac', ['of' => "account-{$account->id}"]) }}">{{ __('money.almanac') }}</a>
        </div>
    </div>
    @error('top_up')
        <p class="told told-bad" role="alert">{{ $message }}</p>
    @enderror
    @if ($topUps->isNotEmpty())
        <section class="card" aria-labelledby="planned">
            <h2 id="planned">{{ __('money.top_ups') }}</h2>
            <dl class="facts facts-wide">
                @foreach ($topUps as $topUp)
                    @php($day = Acre\Core\Time\Instant::of($topUp->planned_for))
                    <div>
                        <dt>{{ App\Support\Dates::full($day) }}</dt>
                        <dd><strong>{{ $topUp->sum()->text() }}</strong> <span class="lesser">{{ __('money.by', [
                            'who' => $topUp->planner->name,
                        ]) }}</span>
                            @if ($day->isBefore($today))
                                <span class="is-bad">{{ __('money.overdue') }}</span>
                            @endif
                        </dd>
                        <dd>
                            @can('prepare')
                                <form method="post" action="{{ route('accounts.top-ups.paid', [$account, $topUp]) }}" class="in-line">@csrf
                                    <button>{{ __('money.is_paid') }}</button>
                                    <button class="plain" formaction="{{ route('accounts.top-ups.withdraw', [$account, $topUp]) }}">{{
                                        __('money.withdraw')
                                    }}</button>
                                </form>
                            @endcan
                        </dd>
                    </div>
                @endforeach
            </dl>
        </section>
    @endif
    @can('prepare')
        @if ($purse->from === Acre\Core\Balance\PaidFrom::Balance)
            <div class="two-cards apart">
                <section class="card" aria-labelledby="top-up">
                    <h2 id="top-up">{{ __('money.top_up') }}</h2>
                    <p class="lesser">{{ __('money.top_up_said') }}</p>
                    <form method="post" action="{{ route('accounts.top-ups', $account) }}" class="fields" data-once>@csrf
                        <div class="columns">
                            <x-field name="amount" id="top-up-amount" :label="__('money.amount')" :value="$amount" required
                                inputmode="decimal" maxlength="14"/>
                            <x-field name="currency" id="top-up-currency" :label="__('money.currency')" :value="$currency" required
                                maxlength="3"/>
                            <x-field name="on" :label="__('money.on')" type="date" :value="$on" required/>
                        </div>
                        <p><button class="main">{{ __('money.plan') }}</button></p>
                    </form>
                </section>
                <section class="card" aria-labelledby="balance">
                    <h2 id="balance">{{ __('money.read') }}</h2>
                    <p class="lesser">{{ __('money.read_said') }}</p>
                    <form method="post" action="{{ route('accounts.balance', $account) }}" class="fields">@csrf
                        <div class="columns">
                            <x-field name="amount" id="balance-amount" :label="__('money.amount')" required inputmode="decimal"
                                maxlength="14"/>
                            <x-field name="currency" id="balance-currency" :label="__('money.currency')" :value="$currency" required
                                maxlength="3"/>
                        </div>
                        <p><button>{{ __('money.save') }}</button></p>
                    </form>
                </section>
            </div>
        @endif
    @endcan
    @if ($purse->from === Acre\Core\Balance\PaidFrom::Balance)
        @include('accounts.credits')
    @endif
    @can('prepare')
        <section class="card apart" aria-labelledby="statement">
            <h2 id="statement">{{ __('money.statement.heading') }}</h2>
            @if (is_array(session('refused')) && session('refused') !== [])
                <div class="told told-bad" role="alert">
                    <p>{{ __('money.statement.refused') }}</p>
                    <ul>
                        @foreach (session('refused') as $one)
                            <li><bdi>{{ $one }}</bdi></li>
                        @endforeach
                    </ul>
                </div>
            @endif
            <p class="lesser">{{ __('money.statement.said') }}
                @if ($account->entries_asked_on !== null && $account->entries_after !== null)
                    {{ __('money.statement.told', [
                        'registrar' => $account->registrar->name,
                        'day' => App\Support\Dates::full(Acre\Core\Time\Instant::of($account->entries_asked_on)),
                    ]) }}
                @endif
            </p>
            <form method="post" action="{{ route('accounts.statement', $account) }}" enctype="multipart/form-data" class="fields">@csrf
                <div class="columns">
                    <x-field name="statement" :label="__('money.statement.file')" id="f-statement">
                        <input id="f-statement" type="file" name="statement" accept=".csv,.txt,.tsv,.xlsx,.ods,text/csv,text/plain" required
                            @error('statement') aria-invalid="true" @enderror>
                    </x-field>
                    <x-field name="statement_currency" :label="__('money.statement.currency')" :value="$currency" maxlength="3" required/>
                    <x-field name="statement_dates" type="choice" :label="__('money.statement.dates')" value=""
                        :options="__('money.statement.orders')"/>
                </div>
                <p><button>{{ __('money.statement.bring') }}</button></p>
            </form>
        </section>
    @endcan
    @if ($amiss !== [])
        <section class="card apart" aria-labelledby="amiss">
            <h2 id="amiss">{{ __('money.amiss.heading') }}</h2>
            <p class="lesser">{{ __('money.amiss.said') }}</p>
            <ul>
                @foreach ($amiss as $one)
                    <li class="{{ $one->kind === Acre\Core\Balance\AmissKind::OtherPrice ? 'is-soon' : 'is-bad' }}"><bdi>{{
                        __('money.amiss.' . $one->kind->value, [
                            'name' => $one->name,
                            'day' => App\Support\Dates::full($one->on),
                            'expected' => $one->expected?->text() ?? '',
                            'charged' => $one->charged?->text() ?? '',
                            'registrar' => $account->registrar->name,
                        ])
                    }}</bdi></li>
                @endforeach
            </ul>
        </section>
    @endif
    <section class="apart" aria-labelledby="entries">
        <h2 id="entries">{{ __('money.entries') }}</h2>
        @if ($entries === [])
            <p class="lesser">{{ __('money.none') }}</p>
        @else
            <table class="sheet">
                <thead>
                    <tr>
                        <th scope="col">{{ __('money.day') }}</th>
                        <th scope="col">{{ __('money.what') }}</th>
                        <th scope="col" class="c-name">{{ __('money.name') }}</th>
                        <th scope="col" class="sum">{{ __('money.sum') }}</th>
                        <th scope="col">{{ __('money.source') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($entries as $entry)
                        @php($sum = Acre\Core\Money\Money::of($entry->text('amount'), $entry->text('currency')))
                        <tr>
                            <td data-label="{{ __('money.day') }}">{{ App\Support\Dates::full($entry->instant('charged_on')) }}</td>
                            <td data-label="{{ __('money.what') }}">{{ __('money.kind')[$entry->text('kind')] }}
                                @if ($entry->text('words') !== '')
                                    <span class="reason lesser"><bdi>{{ $entry->text('words') }}</bdi></span>
                                @endif
                            </td>
                            <td data-label="{{ __('money.name') }}">
                                @if ($entry->textOrNull('ascii') !== null)
                                    <a class="name" href="{{ route('names.show', $entry->text('ascii')) }}">{{
                                        $entry->text('unicode')
                                    }}</a>
                                @endif
                            </td>
                            <td class="sum" data-label="{{ __('money.sum') }}">{{ $sum->text() }}</td>
                            <td data-label="{{ __('money.source') }}">{{ __('money.sources')[$entry->text('source')] }}
                                @if ($entry->intOrNull('docket_id') !== null)
                                    <a class="in-text" href="{{ route('dockets.show', $entry->int('docket_id')) }}">{{ __('money.docket', [
                                        'id' => $entry->int('docket_id'),
                                    ]) }}</a>
                                @endif
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @endif
    </section>
</x-layout>
