{{-- What it is, how far it is, and what can be done with all of it. --}}
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
            @if ($costs !== [])
                <strong>{{ __('deeds.renew.costs', ['sum' => implode(' + ', array_map(fn($sum) => $sum->text(), $costs))]) }}</strong>
            @endif
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
                        route('deeds.show', ['undo_docket', 'docket' => $docket->id])
                    }}">{{ __($ticked ? 'dockets.wrong_tick' : 'dockets.undo') }}</a>
            @endcan
        @endif
        @if ($deed instanceof App\Actions\Registrar\ChangeServers && $progress->done > 0)
            @can('prepare')
                <a class="button"
                    href="{{ route(
                        'deeds.show',
                        ['change_servers', 'docket' => $docket->id, 'back' => $docket->id],
                    ) }}">{{ __('servers.change_back') }}</a>
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
