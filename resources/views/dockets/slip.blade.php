{{-- What somebody does by hand at each registrar, lot by lot. --}}
@if ($slip !== null && $slip->lots !== [])
    <section class="card slip" aria-labelledby="slip-h">
        <h2 id="slip-h"><x-sentence of="dockets.show.slip_heading" :with="[
            'registrars' =>
                collect($slip->lots)
                    ->flatMap(fn($lot) => [
                        ...$lot->giving === [] ? [] : [$lot->keeper ?? $lot->account->registrar->name],
                        ...$lot->receiving === [] ? [] : [$slip->receiver->registrar->name],
                    ])
                    ->unique()
                    ->join(', ', __('dockets.show.and')),
        ]"><x-slot:slip><span class="term"
                        title="{{ __('words.explained.slip') }}">{{ __('dockets.show.slip') }}</span></x-slot></x-sentence></h2>
        @foreach (collect($slip->lots)->filter(fn($lot) => $lot->keeper === null)->flatMap(fn($lot) => [
            ...$lot->giving === [] ? [] : [$lot->account->registrar],
            ...$lot->receiving === [] ? [] : [$slip->receiver->registrar],
        ])->unique('id') as $registrar)
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
                @if (count($slip->lots) > 1 && $lot->keeper === null)
                    <h3>{{ __(
                        'dockets.show.lot_from_account',
                        ['number' => $lot->number, 'number2' => $lot->account->number, 'lines' => $name(count($lot->lines))],
                    ) }}
                    </h3>
                @endif
                <div class="sides">
                    @if ($lot->giving !== [] || $slip->showsBoth)
                    <div>
                        <h3>@if ($lot->keeper !== null)
                                {{ $lot->keeper }}
                            @else<x-sentence :of="$slip->receiver === null ? 'dockets.show.account' : 'dockets.show.giving'" :with="[
                            'registrar' => $lot->account->registrar->name,
                            'number' => $lot->account->number,
                        ]"><x-slot:login><span
                                        class="mono">{{ $lot->account->login ?? __('common.not_recorded') }}</span></x-slot>
                                        </x-sentence>@endif
                        </h3>@include('dockets.steps', ['steps' => $lot->giving, 'lot' => $lot, 'side' => 'giving'])
                    </div>
                    @endif
                    @if ($slip->receiver !== null && ($lot->receiving !== [] || $slip->showsBoth))
                        <div>
                            <h3><x-sentence of="dockets.show.receiving" :with="[
                                'registrar' => $slip->receiver->registrar->name,
                                'number' => $slip->receiver->number,
                            ]"><x-slot:login><span
                                            class="mono">{{ $slip->receiver->login ?? __('common.not_recorded') }}</span></x-slot>
                                            </x-sentence>
                            </h3>
                            @if ($lot->receiving === [])
                                <p>{{ __('dockets.show.nothing_to_do_it_takes_effect') }}</p>
                            @else
                                @if ($slip->receiver->access !== 'ours')
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
