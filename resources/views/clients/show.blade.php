<x-layout :title="$client->name" area="People">
    @inject('current', App\View\CurrentSheaf::class)
    @php($sheaf = $current->get())
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('clients.index') }}">{{ __('common.clients') }}</a> /
        {{ $client->name }}</nav>
    <div class="head">
        <div>
            <h1>{{ $client->name }}</h1>
            <p class="sentence">
                @if ($names === null)
                    {{ __($client->is_house ? 'clients.show.none_ours' : 'clients.show.none') }}
                @else
                    <a
                        href="{{ route('roll', ['client' => $client->id]) }}">{{ trans_choice(
                            $client->is_house ? 'clients.show.names_ours' : 'clients.show.names',
                            $names->int('names'),
                            ['told' => number_format($names->int('names'))],
                        ) }}</a>
                    @if ($names->int('grave') > 0)
                        <span
                            class="is-bad">{{ trans_choice(
                                'clients.show.urgent',
                                $names->int('grave'),
                                ['told' => number_format($names->int('grave'))],
                            ) }}</span>
                    @endif
                @endif
                @if ($watched > 0)
                    <a
                        href="{{ route('roll', ['client' => $client->id, 'finding' => 'lifecycle.watched']) }}">{{ trans_choice(
                            'clients.show.watched',
                            $watched,
                            ['told' => number_format($watched)],
                        ) }}</a>
                @endif
                @foreach ($sums as [$costing, $sum])
                    {{ $loop->first ? __('clients.year') : '' }} <strong>{{ $sum->text() }}</strong>{{ $loop->last ? '.' : ',' }}
                    @endforeach @if ($client->mailbox !== null)
                        <a class="mono" href="mailto:{{ $client->mailbox }}">{{ $client->mailbox }}</a>
                    @endif
            </p>
        </div>
        <p class="head-deeds">
            @if ($names !== null)
                <a class="button" href="{{ route('clients.sheet', $client) }}">{{ __('clients.show.names_sheet') }}</a>
                <a class="button" href="{{ route('clients.year', $client) }}">{{ __('clients.a_year.open') }}</a>
                <a class="button" href="{{ route('clients.laid-out', $client) }}">{{ __('clients.laid_out.open') }}</a>
            @endif @can('prepare')
            @if ($names !== null)
                <a class="button" href="{{ route('asks.create', $client) }}">{{ __('asks.client.heading') }}</a>
            @endif
            <a class="button" href="{{ route('clients.edit', $client) }}">{{ __('common.change') }}</a>
            @endcan @can('settle')
            <a class="button" href="{{ route('clients.merge', $client) }}">{{ __('clients.merge.open') }}</a>
        @endcan
    </p>
</div>
@foreach ($drifts as $row)
    <p class="told told-bad"><strong class="name">{{ $row->text('unicode') }}</strong>:
        <bdi>{{ $words->say('outside.rounds.' . $row->text('finding')) }}.</bdi> <a
            href="{{ route('record.show', $row->text('ascii')) }}">{{ $words->say('rounds.compare') }}</a></p>
@endforeach
@if ($rows !== [])
    <form method="post" action="{{ route('sheaf.add') }}" id="ticks">
        @csrf
        <table class="sheet roll">
            <caption class="hide">{{ __('clients.first') }}</caption>
            <thead>
                <tr>
                    <th class="c-tick" scope="col"><input type="checkbox" data-tick-all
                            aria-label="{{ __('clients.show.select_every_name_on_this_page') }}"></th>
                    <th class="c-name" scope="col">{{ __('clients.names') }}</th>
                    <th class="c-held" scope="col">{{ __('common.registrar_and_account') }}</th>
                    <th class="c-line" scope="col"><span class="hide">{{ __('common.life_line') }}</span><x-axis :axis="$axis"
                            :today="$today" /></th>
                    <th class="c-next" scope="col">{{ __('common.next') }}</th>
                </tr>
            </thead>
            <tbody>@include('roll.rows', ['todayAt' => $axis->at($today), 'line' => true])</tbody>
        </table>
        @can('prepare')
            <noscript>
                <p class="turn"><button>{{ __('clients.show.add_the_selected_names_to_the') }}</button></p>
            </noscript>
        @endcan
    </form>
    @if ($names !== null && $names->int('names') > count($rows))
        <p class="turn"><a
                href="{{ route('roll', ['client' => $client->id]) }}">{{ trans_choice(
                    'clients.more',
                    $names->int('names') - count($rows),
                ) }}</a>
        </p>
    @endif
@endif
<div class="cards">
    @if ($dockets !== [])
        <section class="card" aria-labelledby="open">
            <h2 id="open">{{ __('clients.open') }}</h2>
            <dl class="facts">
                @foreach ($dockets as $row)
                    <div>
                        <dt><a
                                href="{{ route('dockets.show', $row->int('id')) }}">{{
                                    __('clients.show.docket', ['id' => $row->int('id')])
                                }}</a>
                        </dt>
                        <dd>{{ $words->say('deeds.' . $row->text('deed') . '.title') }}<span
                                class="lesser">{{ $words->say('clients.docket.' . $row->text('state')) }},
                                {{ trans_choice(
                                    'clients.count',
                                    $row->int('names'),
                                    ['count' => number_format($row->int('names'))],
                                ) }}</span>
                        </dd>
                    </div>
                @endforeach
            </dl>
        </section>
    @endif
    @if ($registrants !== [])
        <section class="card" aria-labelledby="registrants">
            <h2 id="registrants">{{ __('clients.registrants') }}</h2>
            <dl class="facts">
                @foreach ($registrants as $row)
                    <div>
                        <dt><a
                                href="{{ route('contacts.show', $row->int('contact_id')) }}"><bdi>{{ $row->text('called') === ''
                                    ? $row->text('address')
                                    : $row->text('called') }}</bdi></a>
                        </dt>
                        <dd class="mono">{{ $row->textOrNull('address') ?? '' }}</dd>
                        <dd><a
                                href="{{ route('roll', ['client' => $client->id, 'contact' => $row->int('contact_id')]) }}">{{ trans_choice(
                                    'clients.count',
                                    $row->int('names'),
                                    ['count' => number_format($row->int('names'))],
                                ) }}</a>
                        </dd>
                    </div>
                @endforeach
            </dl>
        </section>
    @endif
    <section class="card" aria-labelledby="where">
        <h2 id="where">{{ __('clients.show.registrars_and_accounts') }}</h2>
        <dl class="facts">
            @forelse ($held as $row)
                <div>
                    <dt>{{ $row->text('registrar_name') }}</dt>
                    <dd><a
                            href="{{ route('accounts.show', $row->int('account_id')) }}">{{ __(
                                'clients.show.account',
                                ['account_number' => $row->text('account_number')],
                            ) }}</a>
                    </dd>
                    <dd><a href="{{ route(
                        'roll',
                        ['client' => $client->id, 'account' => $row->int('account_id')],
                    ) }}">{{
                        trans_choice('common.names_told', $row->int('names'), ['told' => number_format($row->int('names'))])
                    }}</a></dd>
            </div>@empty<div>
                    <dt>{{ __('clients.show.nowhere') }}</dt>
                    <dd>{{ __('clients.show.no_names') }}</dd>
                </div>
            @endforelse
        </dl>
    </section>
    <section class="card" aria-labelledby="own">
        <h2 id="own">{{ __('clients.show.their_own_accounts') }}</h2>
        <dl class="facts">
            @forelse ($accounts as $account)
                <div>
                    <dt>{{ $account->registrar->name }}</dt>
                    <dd><a href="{{ route('accounts.show', $account) }}">{{ $account->number }}</a>
                        @if ($account->login !== null)
                            <span class="lesser">{{ $account->login }}</span>
                        @endif
                    </dd>
                    <dd>{{ $account->access === 'ours' ? __('clients.show.we_can_sign_in') : __('clients.show.only_they_can') }}</dd>
            </div>@empty<div>
                    <dt>{{ __('common.none') }}</dt>
                    <dd>{{ $client->is_house
                        ? __('clients.show.our_own_accounts_belong_to_no')
                        : __('clients.show.their_names_are_in_our') }}
                    </dd>
                </div>
            @endforelse
        </dl>
    </section>
    <section class="card" aria-labelledby="known">
        <h2 id="known">{{ __('clients.show.details') }}</h2>
        <dl class="facts">
            <div>
                <dt>{{ __('common.mailbox') }}</dt>
                <dd>{{ $client->mailbox ?? __('common.not_recorded') }}</dd>
            </div>
            <div>
                <dt>{{ __('common.notes') }}</dt>
                <dd>{{ $client->remarks ?? 'none' }}</dd>
            </div>
        </dl>
    </section>
</div>
<x-notes :of="$client" route="notes.on-client" />
</x-layout>
