{{-- What both sides say of another registrant, where letters ask them before anybody outside is told. --}}
@if ($confirmations->isNotEmpty())
    <section class="card apart" aria-labelledby="sides-h">
        <h2 id="sides-h">{{ __('dockets.sides.confirmations') }}</h2>
        <table class="sheet">
            <caption class="hide">{{ __('dockets.sides.who_was_asked_and_what_they') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('common.who') }}</th>
                    <th scope="col">{{ __('common.as') }}</th>
                    <th scope="col">{{ __('dockets.sides.letter') }}</th>
                    <th scope="col">{{ __('dockets.sides.answer') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($confirmations as $one)
                    <tr>
                        <th scope="row"><a
                                href="{{ route('contacts.show', $one->contact) }}"><bdi>{{ $one->contact->today->called }}</bdi></a></th>
                        <td data-label="{{ __('common.as') }}">{{ $words->say('words.whose.' . $one->side->value) }}</td>
                        <td data-label="{{ __('dockets.sides.letter') }}"><x-sentence of="dockets.sides.letter_to"
                                :with="['day' => App\Support\Dates::full($one->asked_on)]">
                                <x-slot:mailbox><bdi>{{ $one->mailbox }}</bdi></x-slot>
                                </x-sentence>
                            @if ($one->letter !== null)
                                <span @class([
                                    'lesser' => !$one->letter->state->hasFailed(),
                                    'is-bad' => $one->letter->state->hasFailed(),
                                    'reason' => true,
                                ])>{{
                                    $words->say('letters.state.' . $one->letter->state->value)
                                }}@if ($one->letter->answer !== null): <bdi>{{ $one->letter->answer }}</bdi>
                                    @endif
                                </span>
                                <details>
                                    <summary>{{ __('common.contents') }}</summary>
                                    <pre class="letter" tabindex="0">{{ str_replace(
                                        App\Models\Letter::LINK,
                                        __('dockets.receiver.link'),
                                        $one->letter->body,
                                    ) }}</pre>
                                </details>
                            @endif
                        </td>
                        <td data-label="{{ __('dockets.sides.answer') }}">
                            @if ($one->confirmed === true)
                                <span
                                    class="is-good">{{ __(
                                        'dockets.sides.yes_on',
                                        ['answered_on' => App\Support\Dates::full($one->answered_on)],
                                    ) }}</span>
                            @elseif ($one->confirmed === false)
                                <span
                                    class="is-bad">{{ __(
                                        'dockets.sides.no_on',
                                        ['answered_on' => App\Support\Dates::full($one->answered_on)],
                                    ) }}</span>
                                @if ($one->words !== null)
                                    <span class="lesser">“<bdi>{{ $one->words }}</bdi>”</span>
                                @endif
                            @elseif ($docket->state === App\Models\DocketState::Settled)
                                <span class="is-move">{{ __('dockets.sides.waiting') }}</span>
                                @if ($one->letter !== null && Lang::has('letters.cure.' . $one->letter->state->value))
                                    <span class="lesser">{{ $words->say('letters.cure.' . $one->letter->state->value) }}</span>
                                @endif
                                @can('tick', $docket)
                                    <form method="post" action="{{ route('dockets.write-to-side', [$docket, $one]) }}" data-once>@csrf<p>
                                            <button>{{ __('common.write_again') }}</button></p>
                                    </form>
                                @endcan
                            @else
                                {{ __('dockets.sides.no_answer') }}
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </section>
@endif
