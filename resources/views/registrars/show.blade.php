<x-layout :title="$registrar->name" area="Outside">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('registrars.index') }}">{{ __('common.registrars') }}</a> / {{ $registrar->name }}</nav>
    <div class="head">
        <div>
            <h1>{{ $registrar->name }}</h1>
            <p class="sentence"><x-sentence of="registrars.show.terms" :with="[
                'link' => explode(':', __('words.link.' . $registrar->link))[0],
                'days' => $registrar->accept_days,
            ]"><x-slot:receiver><strong>{{ __('words.receiver_by.' . $registrar->receiver_by->value) }}</strong></x-slot>
            <x-slot:confirms><strong>{{ __('words.confirms.' . $registrar->confirms->value) }}</strong></x-slot></x-sentence></p>
        </div>
        @can('prepare')
            <p class="head-deeds"><a class="button"
                    href="{{ route('registrars.edit', $registrar) }}">{{ __('registrars.show.edit_the_terms') }}</a></p>
        @endcan
    </div>
    <div class="cards">
        <section class="card" aria-labelledby="ho">
            <h2 id="ho">{{ __('registrars.show.handovers') }}</h2>
            <dl class="facts">
                <div>
                    <dt>{{ __('registrars.page') }}</dt>
                    <dd>
                        @if ($registrar->page === null)
                            {{ __('registrars.none') }}
                        @else
                            <a href="{{ $registrar->page }}" rel="noopener noreferrer" target="_blank">{{ $registrar->page }}</a>
                        @endif
                    </dd>
                </div>
                <div>
                    <dt>{{ __('registrars.telephone') }}</dt>
                    <dd>{{ $registrar->telephone ?? __('registrars.none') }}</dd>
                </div>
                <div>
                    <dt>{{ __('registrars.show.giving_account') }}</dt>
                    <dd>{{ $registrar->names_giver
                        ? __('registrars.show.identified_in_the_same_way')
                        : __('registrars.show.not_asked_for') }}
                    </dd>
                </div>
                <div>
                    <dt>{{ __('common.lock') }}</dt>
                    <dd>{{ $registrar->lock_first ? __('registrars.show.must_be_lifted_first') : __('registrars.show.may_stay_on') }}</dd>
                </div>
                <div>
                    <dt>{{ __('registrars.show.lock_of_the_giving_account') }}</dt>
                    <dd>{{ $registrar->unlock_account_first
                        ? __('registrars.show.must_be_unlocked_first')
                        : __('registrars.show.need_not_be_unlocked') }}
                    </dd>
                </div>
                <div>
                    <dt>{{ __('registrars.show.receivers_accept') }}</dt>
                    <dd>{{ __('words.accepts_by.' . $registrar->accepts_by) }}</dd>
                </div>
                @if ($registrar->gate !== null)
                    <div>
                        <dt>{{ __('registrars.show.epp_or_bridge') }}</dt>
                        <dd><span class="mono">{{ $registrar->gate }}</span><span
                                class="lesser">{{ $registrar->gate_a_minute === null ? __('registrars.show.no_limit_is_known') : __(
                                    'registrars.show.commands_a_minute_at_most',
                                    ['gate_a_minute' => number_format($registrar->gate_a_minute)],
                                ) }}</span>
                        </dd>
                    </div>
                @endif
                <div>
                    <dt>{{ __('registrars.show.a_new_name') }}</dt>
                    <dd>{{ $registrar->handover_hold_days === 0 ? __('registrars.show.may_be_handed_over_at_once') : trans_choice(
                        'registrars.show.may_be_handed_over_after_days',
                        $registrar->handover_hold_days,
                    ) }}
                    </dd>
                </div>
                <div>
                    <dt>{{ __('registrars.show.in_public_records') }}</dt>
                    <dd>{{ $registrar->behind === [] ? __('registrars.show.under_its_own_name') : implode(', ', $registrar->behind) }}</dd>
                </div>
                @if ($registrar->agreements !== [])
                    <div>
                        <dt>{{ __('registrars.show.agreements') }}</dt>
                        <dd><x-agreements :of="$registrar->agreements"/></dd>
                    </div>
                @endif
                <div>
                    <dt><x-sentence of="registrars.show.lot_size"><x-slot:lot><span class="term"
                                    title="{{ __('words.explained.lot') }}">{{ __('registrars.show.lot') }}</span></x-slot></x-sentence>
                    </dt>
                    <dd>{{ __('registrars.show.names_at_most', ['lot_size' => number_format($registrar->lot_size)]) }}</dd>
                </div>
                @foreach (Acre\Core\Movement\ExtraKind::cases() as $kind)
                    <div>
                        <dt>{{ ucfirst(__('words.extra.' . $kind->value)) }}</dt>
                        <dd>{{ isset($registrar->extras[$kind->value])
                            ? __('words.fate.' . $registrar->extras[$kind->value])
                            : __('common.not_known') }}
                        </dd>
                    </div>
                @endforeach
            </dl>
        </section>
        <section class="card" aria-labelledby="end">
            <h2 id="end">{{ __('registrars.show.around_the_end_of_a_term') }}</h2>
            <dl class="facts">
                <div>
                    <dt>{{ __('registrars.show.renewal_charged') }}</dt>
                    <dd>{{ $registrar->charge_lead_days === 0 ? __('registrars.show.on_the_day_of_the_end') : trans_choice(
                        'registrars.show.days_before_the_end',
                        $registrar->charge_lead_days,
                    ) }}
                    </dd>
                </div>
                <div>
                    <dt>{{ __('registrars.show.suspended') }}</dt>
                    <dd>{{ $registrar->dark_after_days === null ? __('common.not_known') : ($registrar->dark_after_days === 0
                        ? __('registrars.show.at_the_end') : trans_choice(
                        'registrars.show.days_after_the_end',
                        $registrar->dark_after_days,
                    )) }}
                    </dd>
                </div>
                <div>
                    <dt>{{ __('registrars.show.normal_price') }}</dt>
                    <dd>{{ $registrar->plain_after_days === null ? __('common.not_known') : trans_choice(
                        'registrars.show.until_days_after_the_end',
                        $registrar->plain_after_days,
                    ) }}
                    </dd>
                </div>
                <div>
                    <dt>{{ __('registrars.show.renewable') }}</dt>
                    <dd>{{ $registrar->late_until_days === null ? __('common.not_known') : trans_choice(
                        'registrars.show.renewable_until',
                        $registrar->late_until_days,
                    ) }}
                    </dd>
                </div>
                <div>
                    <dt>{{ __('common.notes') }}</dt>
                    <dd>{{ $registrar->remarks ?? 'none' }}</dd>
                </div>
            </dl>
        </section>
        <section class="card" aria-labelledby="acc">
            <h2 id="acc">{{ __('common.accounts') }}</h2>
            <dl class="facts">
                @forelse ($accounts as $account)
                    <div>
                        <dt><a href="{{ route('accounts.show', $account) }}">{{ $account->number }}</a></dt>
                        <dd>{{ $account->owner?->name ?? __('common.our_own') }}<span
                                class="lesser">{{ __('words.access.' . $account->access) }}</span></dd>
                        <dd><a
                                href="{{ route('roll', ['account' => $account->id]) }}">{{ number_format(
                                    ($tallies[$account->id] ?? null)?->int('names') ?? 0,
                                ) }}</a>
                        </dd>
                    </div>
                @empty
                    <div>
                        <dt>{{ __('common.none') }}</dt>
                        <dd>{{ __('registrars.show.yet') }}</dd>
                    </div>
                @endforelse
            </dl>
            <x-cut :shown="count($accounts)" :most="App\Http\Registrars\RegistrarController::LISTED"><a
                    href="{{ route('accounts.index', ['q' => $registrar->name]) }}">{{ __('registrars.show.see_all_accounts') }}</a></x-cut>
            @can('prepare')
                <p><a
                        href="{{
                            route('accounts.create', ['registrar' => $registrar->id])
                        }}">{{ __('registrars.show.add_an_account_here') }}</a>
                </p>
            @endcan
        </section>
    </div>
    <section id="prices" aria-labelledby="prices-h">
        <table class="sheet low">
            <caption id="prices-h">{{ __('registrars.show.prices') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('registrars.show.suffix') }}</th>
                    <th scope="col">{{ __('registrars.show.for') }}</th>
                    <th scope="col" class="sum">{{ __('registrars.show.before_tax') }}</th>
                    <th scope="col" class="sum">{{ __('registrars.show.tax') }}</th>
                    <th scope="col" class="sum">{{ __('registrars.show.paid') }}</th>
                    <th scope="col">{{ __('common.from') }}</th>
                    <th scope="col">{{ __('registrars.show.until') }}</th>
                </tr>
            </thead>
            <tbody>
                @forelse ($prices as $one)
                    <tr @class(['is-past' => !$one->span->contains($today)])>
                        <th scope="row" class="mono">.{{ $one->suffix }}</th>
                        <td data-label="{{ __('registrars.show.for') }}">{{ __('words.action.' . $one->action) }}</td>
                        <td class="sum" data-label="{{ __('registrars.show.before_tax') }}">{{ $one->net()->text() }}</td>
                        <td class="sum" data-label="{{ __('registrars.show.tax') }}">{{ rtrim(rtrim($one->tax_percent, '0'), '.') }} %
                        </td>
                        <td class="sum" data-label="{{ __('registrars.show.paid') }}">{{ $one->gross()->text() }}</td>
                        <td data-label="{{ __('common.from') }}">{{ App\Support\Dates::full($one->span->from) }}</td>
                        <td data-label="{{ __('registrars.show.until') }}">
                            {{ $one->span->until === null
                                ? __('registrars.show.further_notice')
                                : App\Support\Dates::full($one->span->until) }}
                        </td>
                    </tr>
                @empty
                    <tr>
                        <td colspan="7">{{ __('registrars.show.no_prices_yet_so_no_cost_can') }}</td>
                    </tr>
                @endforelse
            </tbody>
        </table>
        @can('prepare')
            <form method="post" action="{{ route('registrars.prices.store', $registrar) }}" class="card fields">
                @csrf
                <h2>{{ __('registrars.show.add_a_price') }}</h2>
                <div class="columns">
                    <x-field name="suffix" :label="__('registrars.show.suffix')" placeholder="co.uk" required maxlength="100" />
                    <div class="field"><label for="f-action">{{ __('registrars.show.for') }}</label><select id="f-action" name="action">
                            @foreach (App\Models\Price::ACTIONS as $action)
                                <option value="{{ $action }}" @selected(old('action', 'renew') === $action)>{{
                                    __('words.action.' . $action)
                                }}</option>
                            @endforeach
                        </select></div>
                    <x-field name="amount" :label="__('registrars.show.before_tax')" inputmode="decimal" required />
                    <x-field name="currency" :label="__('registrars.show.currency')" :value="config('house.currency')" maxlength="3"
                        required/>
                    <x-field name="tax_percent" :label="__('registrars.show.with_tax')" inputmode="decimal" value="0" />
                    <x-field name="since" :label="__('common.from')" type="date" :value="$today->date()" required
                        :note="__('registrars.show.the_earlier_price_ends_on_this')"/>
                </div>
                <p><button>{{ __('registrars.show.add_the_price') }}</button></p>
            </form>
            <form method="post" action="{{ route('registrars.prices.list', $registrar) }}" enctype="multipart/form-data"
                class="card fields apart">
                @csrf
                <h2>{{ __('registrars.list.heading') }}</h2>
                @if (is_array(session('refused')) && session('refused') !== [])
                    <div class="told told-bad" role="alert">
                        <p>{{ __('registrars.list.refused') }}</p>
                        <ul>
                            @foreach (session('refused') as $one)
                                <li><bdi>{{ $one }}</bdi></li>
                            @endforeach
                        </ul>
                    </div>
                @endif
                <p class="lesser">{{ __('registrars.list.said') }}</p>
                <div class="columns">
                    <x-field name="list" :label="__('registrars.list.file')" id="f-list">
                        <input id="f-list" type="file" name="list" accept=".csv,.txt,.tsv,.xlsx,.ods,text/csv,text/plain" required
                            @error('list') aria-invalid="true" @enderror>
                    </x-field>
                    <x-field name="list_currency" :label="__('registrars.list.currency')" :value="config('house.currency')" maxlength="3"
                        required/>
                    <x-field name="list_tax" :label="__('registrars.show.with_tax')" inputmode="decimal" value="0" />
                    <x-field name="list_since" :label="__('common.from')" type="date" :value="$today->date()" required
                        :note="__('registrars.show.the_earlier_price_ends_on_this')"/>
                </div>
                <p><button>{{ __('registrars.list.add') }}</button></p>
            </form>
        @endcan
    </section>
    @include('registrars.offers')
</x-layout>
