{{-- Closing the lines that are open. --}}
@can('tick', $docket)
    {{-- What is told by wire ends by what its registrar says. --}}
    @if ($progress->begun > 0 && $slip !== null && $slip->lots !== [] && $tickable !== [])
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
