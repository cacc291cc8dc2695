{{-- What will happen, and the button that does it. --}}
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
