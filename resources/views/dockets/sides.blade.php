{{-- What both sides say of another registrant, where letters ask them before anybody outside is told. --}}
@if ($confirmations->isNotEmpty())
    <section class="card apart" aria-labelledby="sides-h">
        <h2 id="sides-h">Who must say yes</h2>
        <table class="sheet"><caption class="hide">Who was asked, and what they said</caption>
            <thead><tr><th scope="col">Who</th><th scope="col">As</th><th scope="col">The letter</th><th scope="col">Their word</th></tr></thead>
            <tbody>
            @foreach ($confirmations as $one)
                <tr>
                    <th scope="row"><a href="{{ route('contacts.show', $one->contact) }}"><bdi>{{ $one->contact->today->called }}</bdi></a></th>
                    <td data-label="As">{{ $words->say('words.whose.'.$one->side->value) }}</td>
                    <td data-label="The letter">to <bdi>{{ $one->mailbox }}</bdi>, of {{ App\Support\Dates::full($one->asked_on) }}
                        @if ($one->letter !== null)<span @class(['lesser' => ! $one->letter->state->hasFailed(), 'is-bad' => $one->letter->state->hasFailed(), 'reason' => true])>{{ $words->say('letters.state.'.$one->letter->state->value) }}@if ($one->letter->answer !== null): <bdi>{{ $one->letter->answer }}</bdi>@endif</span>
                            <details><summary>What it says</summary><pre class="letter" tabindex="0">{{ str_replace(App\Models\Letter::LINK, '(the link stands only in the letter itself)', $one->letter->body) }}</pre></details>@endif</td>
                    <td data-label="Their word">
                        @if ($one->confirmed === true)<span class="is-good">yes, on {{ App\Support\Dates::full($one->answered_on) }}</span>
                        @elseif ($one->confirmed === false)<span class="is-bad">no, on {{ App\Support\Dates::full($one->answered_on) }}</span>@if ($one->words !== null)<span class="lesser">“<bdi>{{ $one->words }}</bdi>”</span>@endif
                        @elseif ($docket->state === App\Models\DocketState::Settled)<span class="is-move">waited for</span>@if ($one->letter !== null && Lang::has('letters.cure.'.$one->letter->state->value))<span class="lesser">{{ $words->say('letters.cure.'.$one->letter->state->value) }}</span>@endif
                            @can('tick', $docket)<form method="post" action="{{ route('dockets.write-to-side', [$docket, $one]) }}" data-once>@csrf<p><button>Write again</button></p></form>@endcan
                        @else never said @endif
                    </td>
                </tr>
            @endforeach
            </tbody>
        </table>
    </section>
@endif
