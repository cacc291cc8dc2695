@php($asked = $acceptance !== null && $acceptance->answered_on === null)
@php($name = fn (int $n): string => number_format($n).' '.($n === 1 ? 'name' : 'names'))
@php($onSlip = $slip === null ? 0 : array_sum(array_map(fn ($lot): int => count($lot->lines), $slip->lots)))
@php($whose = $receiver === null ? '' : ($receiver->owner?->name ?? 'ourselves'))
<x-layout :title="'Docket '.$docket->id" area="Movements">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('dockets.index') }}">Movements</a> / docket {{ $docket->id }}</nav>
    <div class="head">
        <div>
            <h1>{{ $deed->headline($docket->terms, $progress->meant()) }}</h1>
            <p class="sentence">Docket {{ $docket->id }}@if ($receiver !== null), to {{ $receiver->registrar->name }} <a href="{{ route('accounts.show', $receiver) }}">{{ $receiver->number }}</a>, held afterwards for {{ $client?->name ?? __('the :served of each') }}@endif.
                @switch($docket->state)
                    @case(App\Models\DocketState::Prepared) <span class="is-soon">Prepared by {{ $docket->preparer->name }} on {{ App\Support\Dates::full($docket->prepared_on) }}; nothing has begun. @can('needsOtherEyes', $docket)Over so many names somebody else than you must settle it.@else A Steward settles it.@endcan</span> @break
                    @case(App\Models\DocketState::Settled) @if ($moving !== null)<span class="is-move" data-waiting="{{ route('dockets.state', $docket) }}" aria-live="polite">{{ $moving }}</span>@elseif ($receiver === null && $by !== null && $onSlip > 0 && $onSlip === $progress->begun)<span class="is-move">{{ $confirmations->isEmpty() ? '' : 'Everybody has said yes: ' }}{{ $onSlip === 1 ? ($confirmations->isEmpty() ? 'One name is' : 'one name is') : $name($onSlip).' are' }} on the slip.</span>@elseif ($progress->begun > 0)<span class="is-move">{{ $progress->begun === 1 ? 'One name waits' : $name($progress->begun).' wait' }} for an answer{{ $by === null ? '' : ($isOver ? ', which was wanted by ' : ' by ').$words->near($by) }}.</span>@endif @break
                    @case(App\Models\DocketState::Closed) <span class="is-good">Closed on {{ App\Support\Dates::full($docket->closed_on) }}: {{ number_format($progress->done) }} of {{ number_format($progress->meant()) }} done{{ $progress->stopped === 0 ? '' : '; '.trans_choice('dockets.stopped', $progress->stopped, ['count' => number_format($progress->stopped)]) }}.</span> @break
                    @default Called off on {{ App\Support\Dates::full($docket->closed_on) }}.
                @endswitch
            </p>
        </div>
        <div class="head-deeds">
            @if ($docket->proof !== null)<a class="button main" href="{{ route('dockets.proof', $docket) }}">Proof</a>@endif
            @can('settle', $docket)<form method="post" action="{{ route('dockets.settle', $docket) }}" data-once>@csrf<button class="main">Begin: {{ lcfirst($deed->headline($docket->terms, $progress->prepared)) }}</button></form>@endcan
            @if ($undoable && $progress->done > 0)@can('prepare')<a class="button" href="{{ route('deeds.show', ['take_back', 'docket' => $docket->id]) }}">{{ __($ticked ? 'dockets.wrong_tick' : 'dockets.undo') }}</a>@endcan @endif
            @if ($progress->again() > 0 && $docket->state !== App\Models\DocketState::Prepared)@can('prepare')<form method="post" action="{{ route('dockets.again', $docket) }}">@csrf<button>Try {{ $progress->again() === 1 ? 'that one' : 'those '.number_format($progress->again()) }} again</button></form>@endcan @endif
            @if ($progress->waiting > 0)@can('callOff', $docket)<form method="post" action="{{ route('dockets.call-off', $docket) }}" data-once>@csrf<input type="hidden" name="which" value="waiting"><button>Call off what has not begun</button></form>@endcan @endif
            @can('callOff', $docket)<form method="post" action="{{ route('dockets.call-off', $docket) }}" data-once>@csrf<button class="grave">Call off what is open</button></form>@endcan
        </div>
    </div>
    @if ($moving !== null)<noscript><meta http-equiv="refresh" content="3"></noscript>@endif
    @if ($setbacks !== [])
        <section class="card apart" aria-labelledby="set-aside"><h2 id="set-aside">Set aside</h2><p class="lesser">These failed and stop nothing else; each is tried again by itself.</p><x-setbacks :setbacks="$setbacks"/></section>
    @endif
    @if ($failure !== null && $docket->state === App\Models\DocketState::Settled)<p class="told told-bad" role="alert">{{ __('dockets.ending_failed') }} {{ $failure }}</p>@endif
    @if ($docket->state === App\Models\DocketState::Settled)
        <p class="progress"><progress max="{{ max(1, $progress->meant()) }}" value="{{ $progress->done + $progress->refused }}" aria-label="How far"></progress> <span class="lesser">{{ number_format($progress->done) }} of {{ number_format($progress->meant()) }} done, {{ number_format($progress->begun + $progress->waiting) }} left</span></p>
    @endif
    @foreach ($late as $one)<p class="told"><strong>{{ __('letters.late.seen', ['mailbox' => $one->mailbox, 'day' => App\Support\Dates::full($one->late_on), 'what' => __('letters.late.'.($one->late_says ? 'agreed' : 'declined'))]) }}</strong> @if ($one->late_words !== null)<bdi>“{{ $one->late_words }}”</bdi> @endif{{ __('letters.late.decide') }}</p>@endforeach
    @include('dockets.receiver')
    @include('dockets.sides')
    @if ($slip !== null && $slip->lots !== [])
        <section class="card slip" aria-labelledby="slip-h">
            <h2 id="slip-h">The <span class="term" title="{{ __('words.explained.slip') }}">slip</span>: what to do at {{ $receiver?->registrar->name ?? collect($slip->lots)->map(fn ($lot) => $lot->account->registrar->name)->unique()->join(', ', ' and ') }}</h2>
            @foreach (collect($slip->lots)->map(fn ($lot) => $lot->account->registrar)->unique('id') as $registrar)
                @if ($registrar->page !== null || $registrar->telephone !== null)<p>@if ($registrar->page !== null){{ __('registrars.found_at') }} <a class="in-text" href="{{ $registrar->page }}" rel="noopener noreferrer" target="_blank">{{ $registrar->page }}</a> @endif @if ($registrar->telephone !== null){{ $registrar->page === null ? ucfirst(__('registrars.telephone')) : __('registrars.ring') }} <span class="mono">{{ $registrar->telephone }}</span>@endif</p>@endif
            @endforeach
            @if ($slip->receiver !== null && collect($slip->lots)->contains(fn ($lot) => $lot->receiving !== []))<p class="lesser">{{ __('dockets.in_order') }}</p>@endif
            @foreach ($slip->lots as $lot)
                <div class="lot">
                    @if (count($slip->lots) > 1)<h3>Lot {{ $lot->number }}: from account {{ $lot->account->number }}, {{ $name(count($lot->lines)) }}</h3>@endif
                    <div class="sides">
                        <div><h3>{{ $slip->receiver === null ? 'Account' : 'Giving side: account' }} {{ $slip->receiver === null ? $lot->account->registrar->name.' ' : '' }}{{ $lot->account->number }}, login <span class="mono">{{ $lot->account->login ?? 'not written down' }}</span></h3>@include('dockets.steps', ['steps' => $lot->giving, 'lot' => $lot, 'side' => 'giving'])</div>
                        @if ($slip->receiver !== null)
                        <div><h3>Receiving side: account {{ $receiver->number }}, login <span class="mono">{{ $receiver->login ?? 'not written down' }}</span></h3>
                            @if ($lot->receiving === [])<p>Nothing to do: it is there at once.</p>@else
                                @if ($receiver->access !== 'ours')<p class="lesser">{{ $whose }} does this; we can’t sign in to that account.</p>@endif
                                @include('dockets.steps', ['steps' => $lot->receiving, 'lot' => $lot, 'side' => 'receiving'])@endif</div>
                        @endif
                    </div>
                </div>
            @endforeach
        </section>
    @endif
    <form method="post" action="{{ route('dockets.tick', $docket) }}" id="tick">
        @csrf
        <table class="sheet">
            <caption class="hide">Names of this docket</caption>
            <thead><tr>@can('tick', $docket)<th class="c-tick" scope="col">@if ($progress->begun > 0 && $slip !== null && $slip->lots !== [])<input type="checkbox" data-tick-all aria-label="Tick every open name">@else<span class="hide">Tick</span>@endif</th>@endcan<th scope="col">Name</th><th scope="col">State</th><th scope="col">From</th><th scope="col">To</th><th scope="col">When, or why not</th></tr></thead>
            <tbody>
            @foreach ($lines as $line)
                <tr>
                    @can('tick', $docket)<td class="c-tick">@if ($line->state === App\Models\LineState::Begun && $line->order === null && ! $asked && ! $line->has_open_word)<input type="checkbox" name="lines[]" value="{{ $line->id }}" aria-label="Tick {{ $line->name->unicode }}" @checked(in_array((string) $line->id, (array) old('lines', []), true))>@endif</td>@endcan
                    <th scope="row"><a class="name" href="{{ route('names.show', $line->name) }}">{{ $line->name->unicode }}</a></th>
                    <td class="c-state"><span class="{{ ['done' => 'is-good', 'stopped' => 'is-bad', 'refused' => 'is-bad', 'begun' => 'is-move'][$line->state->value] ?? '' }}">{{ $words->say('words.line_state.'.($line->state !== App\Models\LineState::Begun ? $line->state->value : ($line->order !== null ? 'by_'.$line->givingAccount?->registrar->link : ($asked ? 'asked' : ($line->has_open_word ? 'unheard' : 'begun'))))) }}</span></td>
                    <td data-label="From">{{ $line->before['account'] ?? $people->named(collect($line->before)->first()) }}<span class="lesser">{{ isset($line->before['account']) ? $line->before['client'] ?? '' : '' }}</span></td>
                    <td data-label="To">{{ $line->after['account'] ?? $people->named(collect($line->after)->first()) }}<span class="lesser">{{ isset($line->after['account']) ? $line->after['client'] ?? '' : '' }}</span></td>
                    <td>@if ($line->state === App\Models\LineState::Begun && $line->order !== null){{ __('outside.order.'.App\View\OrderWord::of($line->order)) }}@if ($line->order->answer !== null && $line->order->state !== App\Models\OrderState::Pending)<span class="lesser"><bdi>{{ $line->order->answer }}</bdi></span>@endif @elseif ($line->done_on !== null){{ App\Support\Dates::full($line->done_on) }}@if ($ticked && $undoable && $line->done_by !== null && $line->order?->state !== App\Models\OrderState::Done && $line->seen_on === null)@can('prepare') <a class="in-text lesser" href="{{ route('deeds.show', ['take_back', 'docket' => $docket->id, 'name' => $line->name->ascii]) }}">{{ __('dockets.not_done') }}</a>@endcan @endif @if ($line->seen_on !== null)<span class="lesser">seen in the directory on {{ App\Support\Dates::full($line->seen_on) }}</span>@endif @elseif ($line->reason !== null){{ $line->reason }}@elseif ($line->state === App\Models\LineState::Prepared)@php($had = array_map(fn (array $one): string => $one['key'] ?? '', $line->findings))@foreach ($judged[$line->name_id] ?? [] as $finding)<span @class(['reason', 'is-bad' => $finding->effect !== Acre\Core\Finding\Effect::Worth])>@if (! in_array($finding->key(), $had, true)){{ __('dockets.since') }} @endif{{ $words->finding($finding) }}.</span>@endforeach @else @foreach ($line->findings as $finding)@if ($line->state === App\Models\LineState::Stopped && in_array($finding['effect'] ?? '', ['stops', 'delays', 'not_known'], true))<span class="reason">{{ $words->stored($finding) }}.</span>@endif @endforeach @endif</td>
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
            <div class="foot" role="region" aria-label="Tick off">
                <div class="foot-say"><p><strong>Tick off</strong> what {{ $receiver?->registrar->name ?? 'the registrar' }} shows as done.</p><p class="lesser">{{ $receiver === null ? 'Our books change' : 'The holding changes' }} with the tick. {{ __($ticked ? 'dockets.tick_back' : 'dockets.tick_stays') }}</p></div>
                <label class="tick">done on <input form="tick" type="date" name="on" value="{{ old('on', $today->date()) }}" max="{{ $today->date() }}"></label>
                <button form="tick" name="how" value="done">The ticked ones</button>
                <button form="tick" name="how" value="all" class="main">{{ $onSlip === 1 ? 'It is done' : 'All '.number_format($onSlip).' done' }}</button>
                <details class="menu up"><summary class="button grave">Refused</summary><div class="menu-sheet"><label for="reason">Why the ticked ones were refused</label><input form="tick" id="reason" name="reason" maxlength="1000" value="{{ old('reason') }}"><p></p><button form="tick" name="how" value="refused" class="grave">Write down as refused</button></div></details>
            </div>
        </x-slot:foot>
        @endif
    @endcan
</x-layout>
