{{-- To whom, by when, and whose it becomes. --}}
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
            </details>@endif{{ __('handover.show.held_afterwards') }}
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
