@php($count = count($verdicts->clear))
@php($judged = $verdicts->kept)
@php($all = count($verdicts->kept))
@php($stopped = $verdicts->stopped())
@php($what = fn(int $n): string => number_format($n) . ' ' . ($n === 1 ? 'name' : 'names'))
@php($whose = $receiver === null ? '' : $receiver->owner?->name ?? $receiver->registrar->name . ' ' . $receiver->number)
@php($givers = collect($judged)->groupBy(fn($one) => $one->file->account->id))
@php($shownOf = collect($rows)->groupBy(fn($one) => $one->file->account->id))
<x-layout :title="__('handover.show.hand_over', ['all' => $what($all)])" area="Movements">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a> /
        @if ($request->filled('name'))
            <a
                href="{{ route(
                    'names.show',
                    $judged[0]->file->facts->name->ascii ?? $request->input('name'),
                ) }}">{{ $judged[0]->file->facts->name->unicode ?? '' }}</a>
        @elseif ($request->input('of') === 'sheaf')
            {{ __('handover.show.the_sheaf', ['all' => $what($all)]) }}
        @else
            {{ __('handover.show.pasted_list', ['all' => $what($all)]) }}
        @endif
    </nav>
    <div class="deed-head">
        <h1>{{ __('handover.show.hand_over', ['all' => $what($all)]) }}</h1>
        <div class="sentence">{{ __('handover.show.to') }}
            @if ($receiver === null)
            <strong>{{ __('handover.show.choose_an_account') }}</strong>@else<details class="menu word" id="receiver">
                    <summary>
                        {{
                            ($receiver->owner !== null ? $receiver->owner->name . ', ' : '') . $receiver->registrar->name . ' '
                                . $receiver->number
                        }}
                    </summary>
                    <div class="menu-sheet menu-wide">@include('handover.find')</div>
                </details>
            @endif{{ __('handover.show.held_afterwards') }}
            <x-word :label="$client?->name ?? __('handover.show.the_of_each_name')">
                <a href="{{ $request->address(['client' => 'keep']) }}"
                    @if ($client === null) aria-current="true" @endif>{{ __('handover.show.the_of_each_name_as_now') }}</a>
                @if (count($clients) <= App\Http\Handover\HandOverController::LISTED)
                    @foreach ($clients as $id => $called)
                        <a href="{{ $request->address(['client' => $id]) }}"
                            @if ($client?->id === $id) aria-current="true" @endif>{{ $called }}</a>
                    @endforeach
                @else
                    <form method="get" action="{{ route('hand-over') }}" class="ask">
                        @include('handover.others', [
                            'kept' => ['receiver', 'by', ...App\Http\Handover\HandOverRequest::REGISTRANT],
                        ])
                        <select name="client" aria-label="{{ __('handover.show.which_client') }}">
                            @foreach ($clients as $id => $called)
                                <option value="{{ $id }}" @selected($client?->id === $id)>{{ $called }}</option>
                            @endforeach
                        </select>
                        <button>{{ __('common.update_the_preview') }}</button>
                    </form>
                @endif
            </x-word>{{ __('handover.show.and_registrant') }}
            <details class="menu word" id="registrant" @if ($registrant === null && $request->word('contact') !== '') open @endif>
                <summary>{{ $registrant === null ? __('common.unchanged') : Str::limit($registrantCalled, 40) }}</summary>
                <div class="menu-sheet menu-wide">
                    <form method="get" action="{{ route('hand-over') }}" class="fields">
                        @include('handover.others', ['kept' => ['receiver', 'client', 'by']])
                        @include('deeds.terms.registrant', ['said' => $registrant?->said() ?? [], 'required' => false])
                        <p><button>{{ __('common.update_the_preview') }}</button>
                            @if ($registrant !== null)
                                <a
                                    href="{{ $request->address([
                                        'contact' => null,
                                        'agreement' => null,
                                        'authority' => null,
                                        'agent' => null,
                                    ]) }}">{{ __('handover.show.leave_unchanged') }}</a>
                            @endif
                        </p>
                    </form>
                </div>
            </details>{{ __('handover.show.and_servers') }}
            <strong>{{ __('common.unchanged') }}</strong>{{ __('handover.show.and_answer') }}
            <x-word :label="$words->near($by)">
                <form method="get" action="{{ route('hand-over') }}" class="ask">
                    @foreach (['of', 'name', 'receiver', 'client', 'contact', 'agreement', 'authority', 'agent'] as $key)
                        @if ($request->filled($key))
                            <input type="hidden" name="{{ $key }}" value="{{ $request->input($key) }}">
                        @endif
                    @endforeach
                    <label for="by">{{ __('common.answer_by') }}</label> <input id="by" type="date" name="by"
                        value="{{ $by->date() }}" required> <button>{{ __('common.update_the_preview') }}</button>
                </form>
            </x-word>.
        </div>
    </div>
    @if ($request->input('of') === 'sheaf')
        <x-in-step />
    @endif
    <div class="cards cards-deed">
        <section class="card" aria-labelledby="them">
            <h2 id="them">{{ __('handover.show.is_this_the_right_account') }}</h2>
            @if ($receiver === null)
                <p>{{ __('handover.show.choose_the_receiving_account') }}</p>
                @include('handover.find')
            @else
                @php($asked = array_map(
                    fn($i) => [$i, $receiver->facts()->identifier($i)],
                    $receiver->registrar->receiver_by->identifiers(),
                ))
                <p><x-sentence :of="$receiver->owner === null
                    ? 'handover.show.account_ours'
                    : 'handover.show.account_of'" :with="[
                        'registrar' => $receiver->registrar->name,
                        'owner' => $receiver->owner?->name,
                    ]"><x-slot:number><strong>{{ $receiver->number }}</strong></x-slot></x-sentence>
                    {{ __('handover.show.asks_for', ['registrar' => $receiver->registrar->name]) }} @foreach ($asked as [$which, $value])
                        {{ __('words.identifier.' . $which->value) }} <strong
                            class="mono">{{
                                $value ?? __('handover.show.not_recorded')
                            }}</strong>{{ $loop->last ? '' : __('dockets.show.and') }}
                        @endforeach: @if ($receiver->proven_at !== null)
                            <span
                            class="is-good">{{ __(
                                'handover.show.confirmed_to_belong_together',
                                ['proven_at' => App\Support\Dates::full($receiver->proven_at)],
                            ) }}</span>.@else<span
                                class="is-soon">{{ __('handover.show.not_confirmed_to_belong') }}</span>{{ $asksFirst
                                    ? __('handover.show.their_answer_will_confirm_it')
                                    : '' }}.
                        @endif
                </p>
                <p>
                    <x-sentence :of="$example === null ? 'handover.show.holds' : 'handover.show.holds_such_as'"><x-slot:names><a
                                href="{{
                                    route('roll', ['account' => $receiver->id])
                                }}"><strong>{{ $what($tally?->int('names') ?? 0) }}</strong></a></x-slot>
                                <x-slot:example><span class="mono">{{ $example }}</span></x-slot></x-sentence>
                    @if ($last !== null)
                        <x-sentence of="accounts.show.last_handover" :with="['day' => App\Support\Dates::full($last->instant('at'))]">
                            <x-slot:docket><a
                                    href="{{ route('dockets.show', $last->int('docket_id')) }}">{{ __(
                                        'accounts.show.docket',
                                        ['id' => $last->int('docket_id')],
                                    ) }}</a></x-slot></x-sentence>
                    @else
                        {{ __('handover.show.has_not_received_a_handover') }}
                    @endif
                </p>
            @endif
        </section>
        <section class="card" aria-label="{{ __('handover.show.what_changes') }}">
            <table class="sheet low keep">
                <thead>
                    <tr>
                        <th scope="col">{{ __('handover.show.what_changes') }}</th>
                        <th scope="col">{{ __('handover.show.before') }}</th>
                        <th scope="col">{{ __('handover.show.after') }}</th>
                    </tr>
                </thead>
                <tbody>
                    <tr>
                        <th scope="row">{{ __('common.account') }}</th>
                        <td>{{ $givers->map(fn($group) => $group[0]->file->account->number)->join(', ') }}</td>
                        <td>{{ $receiver?->number ?? __('handover.show.to_be_chosen') }}</td>
                    </tr>
                    <tr>
                        <th scope="row">{{ __('handover.show.held_for') }}</th>
                        <td>{{ collect($judged)->map(fn($one) => $one->file->clientName)->unique()->take(3)->join(', ') }}</td>
                        <td>{{ $client?->name ?? __('handover.show.the_same') }}</td>
                    </tr>
                    <tr>
                        <th scope="row">{{ __('handover.show.who_pays_for_renewals') }}</th>
                        <td>{{ $givers->map(fn($group) => __(
                            'accounts.show.trail',
                            ['number' => $group[0]->file->account->number],
                        ))->take(3)->join(', ') }}
                        </td>
                        <td>{{ $receiver === null ? __('handover.show.to_be_chosen') : __(
                            'handover.show.payer',
                            ['number' => $receiver->number, 'owner' => $receiver->owner?->name ?? __('handover.show.us')],
                        ) }}
                        </td>
                    </tr>
                    @if ($registrant !== null)
                        <tr>
                            <th scope="row">{{ __('common.registrant') }}</th>
                            <td>{{ collect($judged)->map(fn($one) => $one->file->registrant)->unique()->take(3)->join(', ') }}</td>
                            <td><bdi>{{ $registrantCalled }}</bdi></td>
                        </tr>
                    @endif
                    <tr>
                        <th scope="row">
                            {{ $registrant === null ? __('handover.show.registrant_servers_end') : __('handover.show.servers_end') }}</th>
                        <td></td>
                        <td>{{ __('handover.show.the_same') }}</td>
                    </tr>
                </tbody>
            </table>
        </section>
    </div>
    @if ($receiver !== null || $stopped > 0)
        @include('deeds.groups')
    @endif
    <table class="sheet">
        <thead>
            <tr>
                <th scope="col">{{ __('common.name') }}</th>
                <th scope="col">{{ __('common.ends') }}</th>
                <th scope="col">{{ __('common.today') }}</th>
                <th scope="col">{{ __('handover.show.reasons') }}</th>
                <th scope="col">{{ __('common.what_to_do') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($givers as $group)
                @if ($givers->count() > 1)
                    <tr class="group">
                        <th colspan="5" scope="rowgroup">
                            {{ __(
                                'handover.show.from',
                                [
                                    'registrar_name' => $group[0]->file->account->registrarName,
                                    'number' => $group[0]->file->account->number,
                                    'count' => $what($group->count()),
                                ],
                            ) }}
                        </th>
                    </tr>
                @endif
                @foreach ($shownOf[$group[0]->file->account->id] ?? [] as $one)
                    <tr>
                        <th scope="row"><a class="name"
                                href="{{ route('names.show', $one->file->facts->name->ascii) }}">{{ $one->file->facts->name->unicode }}</a>
                        </th>
                        <td data-label="{{ __('common.ends') }}">
                            {{ $one->file->facts->ends === null
                                ? __('common.not_known')
                                : App\Support\Dates::full($one->file->facts->ends) }}
                        </td>
                        <td><x-verdict :readiness="$one->readiness" :words="$words" /></td>
                        <td>
                            @forelse ($one->readiness->inOrder() as $finding)
                            <span class="reason">{{ $words->finding($finding) }}.</span>@empty<span
                                    class="lesser">{{ __('handover.show.nothing') }}</span>
                            @endforelse
                        </td>
                        <td>@include('deeds.cures', ['findings' => $one->readiness->reasons(), 'file' => $one->file])</td>
                    </tr>
                @endforeach
            @endforeach
        </tbody>
    </table>
    @if (count($rows) < $all)
        <p>{{ __('deeds.show.more_alike', ['names' => $what($all - count($rows))]) }} <a
                href="{{ $address(['rows' => 'all']) }}">{{ __('deeds.show.show_all') }}</a></p>
    @endif
    <x-slot:foot>
        <div class="foot" aria-label="{{ __('handover.show.what_will_happen') }}" role="region">
            <div class="foot-say">
                <p>
                    @if ($receiver === null)
                        <strong>{{ __('handover.show.choose_first') }}</strong>
                        {{ $stopped === 0 ? '' : __(
                            'handover.show.of_cant_be_handed_over_now',
                            ['stopped' => number_format($stopped), 'all' => number_format($all)],
                        ) }}@else<strong>{{ __(
                            'handover.show.of_can_go_now',
                            ['count' => number_format($count), 'all' => number_format($all)],
                        ) }}</strong>
                        @if ($stopped > 0)
                            {{ __('handover.show.cant', ['stopped' => number_format($stopped)]) }}
                        @endif
                    @endif
                </p>
                <p class="lesser">
                    @if ($receiver !== null)
                        {{ __(
                            'handover.show.free_of_charge_you_can_cancel',
                            ['by' => $words->say(
                                $asksFirst ? 'handover.asked_first' : 'handover.confirms.' . $receiver->registrar->confirms->value,
                                ['by' => $words->near($by)],
                            )],
                        ) }}
                    @else
                        {{ __('handover.show.nothing_changes_until_you') }}
                    @endif
                </p>
            </div>
            @if ($receiver !== null && $stopped > 0 && $count > 0)
                <a class="button"
                    href="{{ $request->address(
                        ['without' => array_map(fn($group) => $group->finding->key(), $verdicts->groups())],
                    ) }}">{{ trans_choice('handover.show.leave_out', $stopped, ['told' => number_format($stopped)]) }}</a>
            @endif
            @if ($receiver !== null && $count > 0)
                <form method="post" action="{{ route('hand-over.store') }}" data-once>
                    @csrf
                    @foreach ($request->which() as $key => $value)
                        @foreach ((array) $value as $one)
                            <input type="hidden" name="{{ $key }}{{ is_array($value) ? '[]' : '' }}"
                                value="{{ $one }}">
                        @endforeach
                    @endforeach
                    <input type="hidden" name="receiver" value="{{ $receiver->id }}"><input type="hidden" name="client"
                        value="{{ $client?->id ?? 'keep' }}"><input type="hidden" name="by" value="{{ $by->date() }}">
                    @foreach (array_diff_key($registrant?->said() ?? [], ['by' => true]) as $key => $value)
                        <input type="hidden" name="{{ $key }}" value="{{ $value }}">
                    @endforeach
                    <input type="hidden" name="token" value="{{ $token }}"><input type="hidden" name="shown"
                        value="{{ $shown }}">
                    @can('settle')
                        <button class="main" name="act"
                            value="settle">{{ __(
                                'handover.show.hand_to',
                                ['count' => $what($count), 'whose' => Str::limit($whose, 40)],
                            ) }}</button>
                    @else
                        <button class="main" name="act"
                            value="prepare">{{ __(
                                'handover.show.prepare_for',
                                ['count' => $what($count), 'whose' => Str::limit($whose, 40)],
                            ) }}</button>
                    @endcan
                </form>
            @endif
        </div>
    </x-slot:foot>
</x-layout>
