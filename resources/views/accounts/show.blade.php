<x-layout :title="__('accounts.show.account', ['number' => $account->number])" area="Outside">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('registrars.show', $account->registrar) }}">{{ $account->registrar->name }}</a> /
        {{ __('accounts.show.trail', ['number' => $account->number]) }}</nav>
    <div class="head">
        <div>
            <h1><x-sentence of="accounts.show.heading" :with="['registrar' => $account->registrar->name]"><x-slot:number><span
                            class="name">{{ $account->number }}</span></x-slot></x-sentence></h1>
            <p class="sentence">
                @if ($account->owner !== null)
                    <x-sentence :of="'accounts.show.held_' . $account->access">
                        <x-slot:owner><a href="{{ route('clients.show', $account->owner) }}">{{ $account->owner->name }}</a></x-slot>
                        <x-slot:names><a
                                href="{{ route('roll', ['account' => $account->id]) }}">{{ trans_choice(
                                    'accounts.show.names',
                                    $tally?->int('names') ?? 0,
                                    ['told' => number_format($tally?->int('names') ?? 0)],
                                ) }}</a></x-slot>
                    </x-sentence>
                @else
                    <x-sentence :of="'accounts.show.own_' . $account->access"><x-slot:names><a
                                href="{{ route('roll', ['account' => $account->id]) }}">{{ trans_choice(
                                    'accounts.show.names',
                                    $tally?->int('names') ?? 0,
                                    ['told' => number_format($tally?->int('names') ?? 0)],
                                ) }}</a></x-slot></x-sentence>
                @endif
                @if ($last !== null)
                    <x-sentence of="accounts.show.last_handover" :with="['day' => App\Support\Dates::full($last->instant('at'))]">
                        <x-slot:docket><a
                                href="{{ route('dockets.show', $last->int('docket_id')) }}">{{ __(
                                    'accounts.show.docket',
                                    ['id' => $last->int('docket_id')],
                                ) }}</a></x-slot></x-sentence>
                @endif
                @if ($gate !== null && $suspended)
                    <x-sentence of="accounts.show.suspended_short"><x-slot:nothing><a class="is-bad"
                                href="#gate">{{ __('accounts.show.no_orders') }}</a></x-slot></x-sentence>
                @endif
            </p>
        </div>
        @can('prepare')
            <p class="head-deeds"><a class="button" href="{{ route('accounts.money', $account) }}">{{ __('money.trail') }}</a>
                <a class="button" href="{{ route('accounts.edit', $account) }}">{{ __('common.change') }}</a></p>
        @endcan
    </div>
    @if ($unlocked !== null)
        <section class="card" aria-labelledby="unlocked">
            <h2 id="unlocked"><x-sentence of="accounts.show.unlocked_for"><x-slot:docket><a
                            href="{{ route('dockets.show', $unlocked) }}">{{ __('accounts.show.docket', ['id' => $unlocked]) }}</a></x-slot>
                            </x-sentence>
            </h2>
            <p><span
                    class="is-bad">{{ __('accounts.show.nobody_has_confirmed_that_it') }}</span>{{ __(
                        'accounts.show.until_then_lock_it_on_the',
                        ['words' => $words->say('words.leg.lock_account.otherwise')],
                    ) }}
            </p>
            @can('settle')
                <form method="post" action="{{ route('accounts.locked', $account) }}">@csrf<p><button
                            class="main">{{ __('accounts.show.record_that_it_is_locked_again') }}</button></p>
                </form>
            @endcan
        </section>
    @endif
    <section class="card">
        <h2>{{ __('accounts.show.identifiers') }}</h2>
        <dl class="facts">
            <div>
                <dt>{{ __('common.number') }}</dt>
                <dd class="mono">{{ $account->number }}</dd>
            </div>
            <div>
                <dt>{{ __('common.login') }}</dt>
                <dd class="mono">{{ $account->login ?? __('common.not_recorded') }}</dd>
            </div>
            <div>
                <dt>{{ __('common.mailbox') }}</dt>
                <dd class="mono">{{ $account->mailbox ?? __('common.not_recorded') }}</dd>
            </div>
            <div>
                <dt>{{ __('accounts.show.public_handle') }}</dt>
                <dd class="mono">{{ $account->handle ?? __('accounts.show.none_recorded') }}</dd>
            </div>
            <div>
                <dt>{{ __('accounts.show.belong_together') }}</dt>
                <dd>
                    @if ($account->proven_at === null)
                        <span class="is-soon">{{ __('accounts.show.not_confirmed') }}</span><span
                        class="lesser">{{ __('accounts.show.nobody_has_confirmed_it_one') }}</span>@else<span
                            class="is-good">{{ __(
                                'accounts.show.confirmed_on',
                                ['proven_at' => App\Support\Dates::full($account->proven_at)],
                            ) }}</span>
                    @endif
                </dd>
            </div>
            <div>
                <dt>{{ __('common.notes') }}</dt>
                <dd>{{ $account->remarks ?? 'none' }}</dd>
            </div>
        </dl>
    </section>
    <section class="card apart" aria-labelledby="custody">
        <h2 id="custody">{{ __('common.account_access') }}</h2>
        @foreach (['custodian', 'part', 'good_until'] as $key)
            @error($key)
                <p class="told told-bad" role="alert">{{ $message }}</p>
            @enderror
        @endforeach
        @foreach ($custody->findings() as $finding)
            <p class="lesser {{ $finding->tag->cost() === Acre\Core\Finding\Cost::Attention ? 'is-soon' : 'is-bad' }}">
                {{ $words->finding($finding) }}.</p>
        @endforeach
        <dl class="facts facts-wide">
            @foreach ($custody->custodians as $one)
                <div>
                    <dt>{{ ucfirst($words->say('contacts.custody.part.' . $one->part->value)) }}</dt>
                    <dd><a class="in-text"
                            href="{{ route('custody.show', $one->id) }}">{{ $one->name }}</a>{{ $one->goodUntil === null ? '' : __(
                                'accounts.show.valid_until',
                                ['good_until' => App\Support\Dates::full($one->goodUntil)],
                            ) }}
                        @if ($one->hasLeft)
                            <span class="is-bad">{{ __('accounts.show.has_left') }}</span>
                        @endif
                    </dd>
                    <dd>
                        @can('settle')
                            <form method="post" action="{{ route('custody.take', $account) }}">@csrf @method('delete')<input type="hidden"
                                    name="custodian" value="{{ $one->id }}"><input type="hidden" name="part"
                                    value="{{ $one->part->value }}"><button class="plain">{{ __('common.remove') }}</button></form>
                        @endcan
                    </dd>
                </div>
            @endforeach
            <div>
                <dt>{{ __('accounts.show.letters_from_the_registrar') }}</dt>
                <dd class="mono">{{ $account->letters_to ?? ($account->mailbox ?? __('common.not_recorded')) }}</dd>
            </div>
            <div>
                <dt>{{ __('accounts.show.recovery') }}</dt>
                <dd>{{ $account->way_back ?? __('common.not_recorded') }}</dd>
                <dd><a href="{{ route('custody.lost', $account) }}">{{ __('accounts.show.if_access_is_lost') }}</a></dd>
            </div>
        </dl>
        @can('settle')
            <details>
                <summary>{{ __('accounts.show.add_a_person_with_access') }}</summary>
                <form method="post" action="{{ route('custody.give', $account) }}" class="ask">@csrf
                    <label for="custodian">{{ __('common.who') }}</label> <select id="custodian" name="custodian">
                        @foreach ($custodians as $id => $name)
                            <option value="{{ $id }}">{{ $name }}</option>
                        @endforeach
                    </select>
                    <label for="part">{{ __('accounts.show.has') }}</label> <select id="part" name="part">
                        @foreach (Acre\Core\Custody\CustodyPart::cases() as $part)
                            <option value="{{ $part->value }}">{{ $words->say('contacts.custody.part.' . $part->value) }}</option>
                        @endforeach
                    </select>
                    <label for="good_until">{{ __('accounts.show.a_card_valid_until') }}</label> <input id="good_until" type="date"
                        name="good_until"> <button>{{ __('common.save') }}</button>
                </form>
            </details>
        @endcan
    </section>
    @if (($tally?->int('names') ?? 0) > 0)
        @can('prepare')
            <section class="card apart" aria-labelledby="empty">
                <h2 id="empty">{{ __('accounts.empty.heading') }}</h2>
                <p>{{ trans_choice('accounts.empty.names', $tally->int('names'), ['count' => number_format($tally->int('names'))]) }}
                    {{ $extras === 0 ? '' : trans_choice('accounts.empty.extras', $extras, ['count' => number_format($extras)]) }}
                    {{ __('accounts.empty.said') }}</p>
                <form method="post" action="{{ route('accounts.empty', $account) }}" class="head-deeds">@csrf
                    <button name="way" value="hand-over">{{ __('accounts.empty.hand_over') }}</button>
                    <button name="way" value="transfer">{{ __('accounts.empty.transfer') }}</button>
                    <button name="way" value="plan">{{ __('accounts.empty.plan') }}</button>
                </form>
            </section>
        @endcan
    @endif
    @if ($gate !== null)
        <section class="card apart" aria-labelledby="gate">
            <h2 id="gate">{{ __('accounts.show.epp_or_bridge') }}</h2>
            @error('gate')
                <p class="told told-bad" role="alert"><bdi>{{ $message }}</bdi></p>
            @enderror
            <p>
                @if ($account->access !== 'ours')
                    {{ __('accounts.show.we_have_no_access_to_this') }}
                @elseif ($account->gate_secret_id === null)
                    <span
                        class="is-soon">{{ __('accounts.show.no_password_is_stored') }}</span>{{
                            __('accounts.show.so_everything_in_this_account')
                        }}
                @elseif ($suspended)
                    <span class="is-bad">{{ __('accounts.show.nothing_sent') }}</span>
                    <x-sentence :of="$account->registrar->gate_key === null ? 'accounts.show.given_for' : 'accounts.show.given_for_key'">
                        <x-slot:old><span
                                class="mono">{{
                                    App\Outside\Registrar\GatePin::host($account->gate_for) ?: __('accounts.show.another_host')
                                }}</span></x-slot>
                        <x-slot:new><span class="mono">{{ $account->registrar->gate }}</span></x-slot>
                        <x-slot:key><span class="mono">{{ $account->registrar->gate_key }}</span></x-slot>
                    </x-sentence>
                    @can('settle')
                        {{ __('accounts.show.confirm_that_the_password_is') }}@else{{ __('accounts.show.a_steward_or_an_owner_must') }}
                    @endcan
                    {{ $gate['open'] === 0 ? '' : trans_choice(
                        'outside.gate.wait',
                        $gate['open'],
                        ['count' => number_format($gate['open'])],
                    ) }}
                @else
                    <x-sentence of="accounts.show.signs_in"><x-slot:gate><span
                                class="mono">{{ $account->registrar->gate }}</span></x-slot><x-slot:login><span
                                class="mono">{{ $account->number }}</span></x-slot></x-sentence>
                    {{ trans_choice('accounts.show.orders_open', $gate['open'], ['told' => number_format($gate['open'])]) }}
                @endif
            </p>
            @if ($account->access === 'ours')
                @can('settle')
                    @if ($suspended)
                        <form method="post" action="{{ route('accounts.gate.confirm', $account) }}" class="fields">@csrf<input type="hidden"
                                name="gate" value="{{ App\Outside\Registrar\GatePin::of($account->registrar) }}">
                            <div class="columns">
                            <x-own-password name="own_password" id="confirm-password" :label="__('accounts.show.your_own_password')"/></div>
                            <p><button
                                    class="main">{{ __(
                                        'accounts.show.use_this_password_at_from_now',
                                        ['gate' => $account->registrar->gate],
                                    ) }}</button>
                            </p>
                        </form>
                    @elseif ($account->gate_secret_id !== null)
                        <form method="post" action="{{ route('accounts.gate.try', $account) }}">@csrf<p>
                                <button>{{ __('accounts.show.test_the_sign_in') }}</button></p>
                        </form>
                    @endif
                    <details @if ($errors->has('own_password') || $errors->has('gate_password')) open @endif>
                        <summary>
                            {{ $account->gate_secret_id === null
                                ? __('accounts.show.store_a_password')
                                : __('accounts.show.change_or_remove_the_password') }}
                        </summary>
                        <form method="post" action="{{ route('accounts.gate', $account) }}" class="fields">
                            @csrf
                            <div class="columns"><x-own-password name="own_password" :label="__('accounts.show.your_own_password')">
                            <x-field name="gate_password"
                                        type="password" :label="__('accounts.show.password_at_the_registrar')" autocomplete="off"
                                        maxlength="200"
                                        :note="__(
                                            $account->registrar->link === 'wire'
                                                ? 'accounts.show.password_note_wire'
                                                : 'accounts.show.password_note',
                                        )" /></x-own-password>
                                        </div>
                            <p><button>{{ __('common.save') }}</button></p>
                        </form>
                    </details>
                @endcan
            @endif
            @if ($setbacks !== [])
                <h3 id="failed-work">{{ __('common.failed_work') }}</h3>
                <p class="lesser">{{ __('accounts.show.these_failed_they_hold_up') }}</p>
                <x-setbacks :setbacks="$setbacks" />
            @endif
            @if ($gate['orders'] !== [])
                <h3>{{ __('accounts.show.last_orders') }}</h3>
                <dl class="facts facts-wide">
                    @foreach ($gate['orders'] as $order)
                        <div>
                            <dt>{{ __('outside.order_kind.' . $order->text('kind')) }}</dt>
                            <dd><a class="name"
                                    href="{{ route('names.show', $order->text('ascii')) }}">{{ $order->text('unicode') }}</a><span
                                    class="lesser"><bdi>{{ $order->textOrNull('answer') ?? '' }}</bdi></span></dd>
                            <dd>{{ __('outside.order_short.' . $order->text('state')) }}</dd>
                        </div>
                    @endforeach
                </dl>
            @endif
            @if ($gate['messages'] !== [])
                <h3>{{ __('accounts.show.last_messages') }}</h3>
                <dl class="facts facts-wide">
                    @foreach ($gate['messages'] as $said)
                        <div>
                            <dt>{{ $said->instant('said_at') === null
                                ? __('accounts.show.unknown_day')
                                : App\Support\Dates::exact($said->instant('said_at')) }}
                            </dt>
                            <dd><bdi>{{ $said->text('text') }}</bdi></dd>
                        </div>
                    @endforeach
                </dl>
            @endif
        </section>
    @endif
    <x-notes :of="$account" route="notes.on-account" />
</x-layout>
