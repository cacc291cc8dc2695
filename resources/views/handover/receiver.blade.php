{{-- Whether the account is the right one. --}}
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
                    }}</strong>{{ $loop->last ? ':' : __('dockets.show.and') }}
                @endforeach
                @if ($receiver->proven_at !== null)
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
