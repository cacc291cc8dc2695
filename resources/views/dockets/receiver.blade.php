{{-- The receiver's word, where a letter asks for it before anything moves. --}}
@if ($acceptance !== null)
    <section class="card apart" aria-labelledby="receiver-h">
        <h2 id="receiver-h">{{ __('dockets.receiver.the_receivers_answer') }}</h2>
        @if ($acceptance->accepted === true)
            <p><span
                    class="is-good">{{ __(
                        'dockets.receiver.accepted_on',
                        ['answered_on' => App\Support\Dates::full($acceptance->answered_on)],
                    ) }}</span>{{ __('dockets.receiver.in_answer_to_the_letter_to', ['mailbox' => $acceptance->mailbox]) }}
            </p>
        @elseif ($acceptance->accepted === false)
            <p><span
                    class="is-bad">{{ __(
                        'dockets.receiver.refused_on',
                        ['answered_on' => App\Support\Dates::full($acceptance->answered_on)],
                    ) }}</span>{{ __('dockets.receiver.in_answer_to_the_letter_to', ['mailbox' => $acceptance->mailbox]) }}
                @if ($acceptance->words !== null)
                    <x-sentence of="dockets.receiver.they_say"><x-slot:words><bdi>{{ $acceptance->words }}</bdi></x-slot></x-sentence>
                @endif
            </p>
        @else
            <p><x-sentence of="dockets.receiver.asked"><x-slot:mailbox><a
                            href="{{ route('accounts.show', $acceptance->account) }}">{{ $acceptance->mailbox }}</a></x-slot></x-sentence>
                @if ($letter !== null){{ __('dockets.receiver.the_letter') }} <span
                        @class([
                            'is-bad' => $letter->state->hasFailed(),
                            'is-soon' => $letter->state === App\Models\LetterState::Doubtful,
                        ])>{{
                            $words->say('letters.state.' . $letter->state->value)
                        }}</span>@if ($letter->answer !== null): <bdi>{{ $letter->answer }}</bdi>@else.@endif
                @endif
            </p>
            @if ($letter !== null)
                @if (Lang::has('letters.cure.' . $letter->state->value))
                    <p class="lesser">{{ $words->say('letters.cure.' . $letter->state->value) }}</p>
                @endif
                <details>
                    <summary>{{ __('common.contents') }}</summary>
                    <pre class="letter" tabindex="0">{{ str_replace(
                        App\Models\Letter::LINK,
                        __('dockets.receiver.link'),
                        $letter->body,
                    ) }}</pre>
                </details>
            @endif
            @can('tick', $docket)
                <form method="post" action="{{ route('dockets.write', $docket) }}" data-once>@csrf<p>
                        <button>{{ __('common.write_again') }}</button> <span
                            class="lesser">{{ __('dockets.receiver.the_link_in_the_earlier_letter') }}</span></p>
                </form>
            @endcan
        @endif
    </section>
@endif
