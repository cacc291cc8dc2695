@php($asked = $acceptance !== null && $acceptance->answered_on === null)
@php($name = fn(int $n): string => number_format($n) . ' ' . ($n === 1 ? 'name' : 'names'))
@php($onSlip = $slip === null ? 0 : array_sum(array_map(fn($lot): int => count($lot->lines), $slip->lots)))
@php($whose = $receiver === null ? '' : $receiver->owner?->name ?? 'ourselves')
<x-layout :title="__('dockets.show.docket', ['id' => $docket->id])" area="Movements">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}">
        <a href="{{ route('dockets.index') }}">{{ __('common.movements') }}</a> /
        {{ __('dockets.show.trail', ['id' => $docket->id]) }}</nav>
    <div class="head">
        <div>
            <h1>{{ $deed->headline($docket->terms, $progress->meant()) }}</h1>
            <p class="sentence">
                @if ($receiver === null)
                    {{ __('dockets.show.docket', ['id' => $docket->id]) }}.
                @else
                    <x-sentence of="dockets.show.docket_to" :with="[
                        'id' => $docket->id,
                        'registrar' => $receiver->registrar->name,
                        'client' => $client?->name ?? __('handover.show.the_of_each_name'),
                    ]"><x-slot:account><a
                                href="{{ route('accounts.show', $receiver) }}">{{ $receiver->number }}</a></x-slot></x-sentence>
                @endif
                @switch($docket->state)
                    @case(App\Models\DocketState::Prepared)
                        <span
                            class="is-soon">{{ __(
                                'dockets.show.prepared_by_on_nothing_has',
                                ['preparer' => $docket->preparer->name, 'prepared_on' => App\Support\Dates::full($docket->prepared_on)],
                            ) }}
                            @can('needsOtherEyes', $docket)
                                {{ __('dockets.show.with_this_many_names_somebody') }}
                            @else
                                {{ __('dockets.show.a_steward_must_settle_it') }}
                            @endcan
                        </span>
                    @break

                    @case(App\Models\DocketState::Settled)
                        @if ($moving !== null)
                            <span class="is-move" data-waiting="{{ route('dockets.state', $docket) }}"
                                aria-live="polite">{{ $moving }}</span>
                        @elseif ($receiver === null && $by !== null && $onSlip > 0 && $onSlip === $progress->begun)
                            <span class="is-move">{{ $confirmations->isEmpty() ? '' : __('dockets.show.all_confirmed') }}
                                {{ trans_choice('dockets.show.on_slip', $onSlip, ['told' => number_format($onSlip)]) }}</span>
                        @elseif ($progress->begun > 0)
                            <span
                                class="is-move">{{ trans_choice(
                                    'dockets.show.' . ($by === null ? 'waiting' : ($isOver ? 'waiting_late' : 'waiting_by')),
                                    $progress->begun,
                                    ['told' => number_format($progress->begun), 'day' => $by === null ? '' : $words->near($by)],
                                ) }}</span>
                        @endif
                    @break

                    @case(App\Models\DocketState::Closed)
                        <span
                            class="is-good">{{ __(
                                'dockets.show.closed_on',
                                [
                                    'day' => App\Support\Dates::full($docket->closed_on),
                                    'done' => number_format($progress->done),
                                    'meant' => number_format($progress->meant()),
                                ],
                            ) }}
                            {{ $progress->stopped === 0 ? '' : trans_choice(
                                'dockets.stopped',
                                $progress->stopped,
                                ['count' => number_format($progress->stopped)],
                            ) }}</span>
                    @break

                    @default
                        {{ __('dockets.show.cancelled_on', ['closed_on' => App\Support\Dates::full($docket->closed_on)]) }}
                @endswitch
            </p>
        </div>
        <div class="head-deeds">
            @if ($docket->proof !== null)
                <a class="button main" href="{{ route('dockets.proof', $docket) }}">{{ __('dockets.show.proof') }}</a>
            @endif
            @can('settle', $docket)
                <form method="post" action="{{ route('dockets.settle', $docket) }}" data-once>@csrf<button
                        class="main">{{ __(
                            'dockets.show.start',
                            ['prepared' => lcfirst($deed->headline($docket->terms, $progress->prepared))],
                        ) }}</button>
                </form>
            @endcan
            @if ($undoable && $progress->done > 0)
                @can('prepare')
                    <a class="button"
                        href="{{
                            route('deeds.show', ['take_back', 'docket' => $docket->id])
                        }}">{{ __($ticked ? 'dockets.wrong_tick' : 'dockets.undo') }}</a>
                @endcan
            @endif
            @if ($progress->again() > 0 && $docket->state !== App\Models\DocketState::Prepared)
                @can('prepare')
                    <form method="post" action="{{ route('dockets.again', $docket) }}">
                        @csrf<button>{{ trans_choice(
                            'dockets.show.try_again',
                            $progress->again(),
                            ['told' => number_format($progress->again())],
                        ) }}</button>
                    </form>
                @endcan
            @endif
            @if ($progress->waiting > 0)
                @can('callOff', $docket)
                    <form method="post" action="{{ route('dockets.call-off', $docket) }}" data-once>@csrf<input type="hidden" name="which"
                            value="waiting"><button>{{ __('dockets.show.cancel_what_has_not_started') }}</button></form>
                @endcan
            @endif
            @can('callOff', $docket)
                <form method="post" action="{{ route('dockets.call-off', $docket) }}" data-once>@csrf<button
                        class="grave">{{ __('dockets.show.cancel_what_is_open') }}</button></form>
            @endcan
        </div>
    </div>
    @if ($moving !== null)
        <noscript>
            <meta http-equiv="refresh" content="3">
        </noscript>
    @endif
    @if ($setbacks !== [])
        <section class="card apart" aria-labelledby="set-aside">
            <h2 id="set-aside">{{ __('common.failed_work') }}</h2>
            <p class="lesser">{{ __('dockets.show.these_failed_they_hold_up') }}</p><x-setbacks :setbacks="$setbacks" />
        </section>
    @endif
    @if ($failure !== null && $docket->state === App\Models\DocketState::Settled)
        <p class="told told-bad" role="alert">{{ __('dockets.ending_failed') }} {{ $failure }}</p>
    @endif
    @if ($docket->state === App\Models\DocketState::Settled)
        <p class="progress"><progress max="{{ max(1, $progress->meant()) }}" value="{{ $progress->done + $progress->refused }}"
                aria-label="{{ __('dockets.show.progress') }}"></progress> <span
                class="lesser">{{ __(
                    'dockets.show.of_done_left',
                    [
                        'done' => number_format($progress->done),
                        'meant' => number_format($progress->meant()),
                        'waiting' => number_format($progress->begun + $progress->waiting),
                    ],
                ) }}</span>
        </p>
    @endif
    @foreach ($late as $one)
        <p class="told">
            <strong>{{ __(
                'letters.late.seen',
                [
                    'mailbox' => $one->mailbox,
                    'day' => App\Support\Dates::full($one->late_on),
                    'what' => __('letters.late.' . ($one->late_says ? 'agreed' : 'declined')),
                ],
            ) }}</strong>
            @if ($one->late_words !== null)
                <bdi>“{{ $one->late_words }}”</bdi>
            @endif{{ __('letters.late.decide') }}
        </p>
    @endforeach
    @include('dockets.receiver')
    @include('dockets.sides')
    @if ($slip !== null && $slip->lots !== [])
        <section class="card slip" aria-labelledby="slip-h">
            <h2 id="slip-h"><x-sentence of="dockets.show.slip_heading" :with="[
                'registrars' =>
                    $receiver?->registrar->name ??
                    collect($slip->lots)->map(fn($lot) => $lot->account->registrar->name)->unique()->join(', ', __('dockets.show.and')),
            ]"><x-slot:slip><span class="term"
                            title="{{ __('words.explained.slip') }}">{{ __('dockets.show.slip') }}</span></x-slot></x-sentence></h2>
            @foreach (collect($slip->lots)->map(fn($lot) => $lot->account->registrar)->unique('id') as $registrar)
                @if ($registrar->page !== null || $registrar->telephone !== null)
                    <p>
                        @if ($registrar->page !== null)
                            {{ __('registrars.found_at') }}
                            <a class="in-text" href="{{ $registrar->page }}" rel="noopener noreferrer"
                                target="_blank">{{ $registrar->page }}</a>
                            @endif @if ($registrar->telephone !== null)
                                {{ $registrar->page === null ? ucfirst(__('registrars.telephone')) : __('registrars.ring') }} <span
                                    class="mono">{{ $registrar->telephone }}</span>
                            @endif
                    </p>
                @endif
            @endforeach
            @if ($slip->receiver !== null && collect($slip->lots)->contains(fn($lot) => $lot->receiving !== []))
                <p class="lesser">{{ __('dockets.in_order') }}</p>
            @endif
            @foreach ($slip->lots as $lot)
                <div class="lot">
                    @if (count($slip->lots) > 1)
                        <h3>{{ __(
                            'dockets.show.lot_from_account',
                            ['number' => $lot->number, 'number2' => $lot->account->number, 'lines' => $name(count($lot->lines))],
                        ) }}
                        </h3>
                    @endif
                    <div class="sides">
                        <div>
                            <h3><x-sentence :of="$slip->receiver === null ? 'dockets.show.account' : 'dockets.show.giving'" :with="[
                                'registrar' => $lot->account->registrar->name,
                                'number' => $lot->account->number,
                            ]"><x-slot:login><span
                                            class="mono">{{ $lot->account->login ?? __('common.not_recorded') }}</span></x-slot>
                                            </x-sentence>
                            </h3>@include('dockets.steps', ['steps' => $lot->giving, 'lot' => $lot, 'side' => 'giving'])
                        </div>
                        @if ($slip->receiver !== null)
                            <div>
                                <h3><x-sentence of="dockets.show.receiving" :with="['number' => $receiver->number]"><x-slot:login><span
                                                class="mono">{{ $receiver->login ?? __('common.not_recorded') }}</span></x-slot>
                                                </x-sentence>
                                </h3>
                                @if ($lot->receiving === [])
                                    <p>{{ __('dockets.show.nothing_to_do_it_takes_effect') }}</p>
                                @else
                                    @if ($receiver->access !== 'ours')
                                        <p class="lesser">{{ __('dockets.show.does_this_we_cant_sign_in_to', ['whose' => $whose]) }}</p>
                                    @endif
                                    @include('dockets.steps', [
                                        'steps' => $lot->receiving,
                                        'lot' => $lot,
                                        'side' => 'receiving',
                                    ])
                                @endif
                            </div>
                        @endif
                    </div>
                </div>
            @endforeach
        </section>
    @endif
    <form method="post" action="{{ route('dockets.tick', $docket) }}" id="tick">
        @csrf
        <table class="sheet">
            <caption class="hide">{{ __('dockets.show.names_in_this_docket') }}</caption>
            <thead>
                <tr>
                    @can('tick', $docket)
                        <th class="c-tick" scope="col">
                            @if ($progress->begun > 0 && $slip !== null && $slip->lots !== [])
                            <input type="checkbox" data-tick-all aria-label="{{ __('dockets.show.select_every_open_name') }}">@else<span
                                    class="hide">{{ __('common.select') }}</span>
                            @endif
                        </th>
                    @endcan
                    <th scope="col">
                        {{ __('common.name') }}</th>
                    <th scope="col">{{ __('dockets.show.state') }}</th>
                    <th scope="col">{{ __('common.from') }}</th>
                    <th scope="col">{{ __('dockets.show.to') }}</th>
                    <th scope="col">{{ __('dockets.show.when_or_why_not') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($lines as $line)
                    <tr>
                        @can('tick', $docket)
                            <td class="c-tick">
                                @if (
                                    $line->state === App\Models\LineState::Begun && $line->order === null && !$asked
                                        && !$line->has_open_word
                                )
                                    <input type="checkbox" name="lines[]" value="{{ $line->id }}"
                                        aria-label="{{ __('dockets.show.select', ['unicode' => $line->name->unicode]) }}"
                                        @checked(in_array((string) $line->id, (array) old('lines', []), true))>
                                @endif
                            </td>
                        @endcan
                        <th scope="row"><a class="name" href="{{ route('names.show', $line->name) }}">{{ $line->name->unicode }}</a>
                        </th>
                        <td class="c-state"><span
                                class="{{ [
                                    'done' => 'is-good',
                                    'stopped' => 'is-bad',
                                    'refused' => 'is-bad',
                                    'begun' => 'is-move',
                                ][$line->state->value] ?? '' }}">{{ $words->say(
                                    'words.line_state.' . ($line->state !== App\Models\LineState::Begun ? $line->state->value
                                        : ($line->order !== null ? 'by_' . $line->givingAccount?->registrar->link : ($asked ? 'asked'
                                            : ($line->has_open_word ? 'unheard' : 'begun')))),
                                ) }}</span>
                        </td>
                        <td data-label="{{ __('common.from') }}">
                            {{ $line->before['account'] ?? $people->named(collect($line->before)->first()) }}<span
                                class="lesser">{{ isset($line->before['account']) ? $line->before['client'] ?? '' : '' }}</span></td>
                        <td data-label="{{ __('dockets.show.to') }}">
                            {{ $line->after['account'] ?? $people->named(collect($line->after)->first()) }}<span
                                class="lesser">{{ isset($line->after['account']) ? $line->after['client'] ?? '' : '' }}</span></td>
                        <td>
                            @if ($line->state === App\Models\LineState::Begun && $line->order !== null)
                                {{
                                    __('outside.order.' . App\View\OrderWord::of($line->order))
                                }}@if ($line->order->answer !== null && $line->order->state !== App\Models\OrderState::Pending)
                                    <span class="lesser"><bdi>{{ $line->order->answer }}</bdi></span>
                                @endif
                            @elseif ($line->done_on !== null)
                                {{
                                    App\Support\Dates::full($line->done_on)
                                }}@if (
                                    $ticked && $undoable && $line->done_by !== null
                                        && $line->order?->state !== App\Models\OrderState::Done && $line->seen_on === null
                                )
                                    @can('prepare')
                                        <a class="in-text lesser"
                                            href="{{ route(
                                                'deeds.show',
                                                ['take_back', 'docket' => $docket->id, 'name' => $line->name->ascii],
                                            ) }}">{{ __('dockets.not_done') }}</a>
                                    @endcan
                                    @endif @if ($line->seen_on !== null)
                                        <span
                                            class="lesser">{{ __(
                                                'dockets.show.shown_in_the_directory_on',
                                                ['seen_on' => App\Support\Dates::full($line->seen_on)],
                                            ) }}</span>
                                    @endif
                                @elseif ($line->reason !== null)
                                    {{ $line->reason }}
                                @elseif ($line->state === App\Models\LineState::Prepared)
                                    @php($had = array_map(
                                        fn(array $one): string => $one['key'] ?? '',
                                        $line->findings,
                                    ))@foreach ($judged[$line->name_id] ?? [] as $finding)
                                        <span @class([
                                            'reason',
                                            'is-bad' => $finding->effect !== Acre\Core\Finding\Effect::Worth,
                                        ])>
                                            @if (!in_array($finding->key(), $had, true))
                                                {{ __('dockets.since') }}
                                            @endif{{ $words->finding($finding) }}.
                                        </span>
                                    @endforeach
                                @else
                                    @foreach ($line->findings as $finding)
                                        @if ($line->state === App\Models\LineState::Stopped && in_array(
                                            $finding['effect'] ?? '',
                                            ['stops', 'delays', 'not_known'],
                                            true,
                                        ))
                                            <span class="reason">{{ $words->stored($finding) }}.</span>
                                        @endif
                                    @endforeach
                                @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        {{ $lines->links('components.pages') }}
    </form>
    @can('tick', $docket)
        {{-- What is told by wire ends by what its registrar says. --}}
        @if ($progress->begun > 0 && $slip !== null && $slip->lots !== [])
            <x-slot:foot>
                <div class="foot" role="region" aria-label="{{ __('common.mark_as_done') }}">
                    <div class="foot-say">
                        <p><strong>{{ $receiver === null ? __('dockets.show.tick_what') : __(
                            'dockets.show.tick_what_at',
                            ['registrar' => $receiver->registrar->name],
                        ) }}</strong>
                        </p>
                        <p class="lesser">{{ __($receiver === null ? 'dockets.show.then_record' : 'dockets.show.then_holding') }}
                            {{ __($ticked ? 'dockets.tick_back' : 'dockets.tick_stays') }}</p>
                    </div>
                    <label class="tick">{{ __('dockets.show.done_on') }} <input form="tick" type="date" name="on"
                            value="{{ old('on', $today->date()) }}" max="{{ $today->date() }}"></label>
                    <button form="tick" name="how" value="done">{{ __('dockets.show.mark_the_selected_names_as') }}</button>
                    <button form="tick" name="how" value="all"
                        class="main">{{ $onSlip === 1 ? __('common.mark_as_done') : __(
                            'dockets.show.mark_all_as_done',
                            ['on_slip' => number_format($onSlip)],
                        ) }}</button>
                    <details class="menu up">
                        <summary class="button grave">{{ __('dockets.show.refused') }}</summary>
                        <div class="menu-sheet"><label for="reason">{{ __('dockets.show.why_the_selected_names_were') }}</label><input
                                form="tick" id="reason" name="reason" maxlength="1000" value="{{ old('reason') }}">
                            <p></p><button form="tick" name="how" value="refused"
                                class="grave">{{ __('dockets.show.mark_as_refused') }}</button>
                        </div>
                    </details>
                </div>
            </x-slot:foot>
        @endif
    @endcan
</x-layout>
