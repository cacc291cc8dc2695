{{-- The receiver's word, where a letter asks for it before anything moves. --}}
@if ($acceptance !== null)
    <section class="card apart" aria-labelledby="receiver-h">
        <h2 id="receiver-h">The receiver’s word</h2>
        @if ($acceptance->accepted === true)
            <p><span class="is-good">Accepted on {{ App\Support\Dates::full($acceptance->answered_on) }}</span>, in answer to the letter to {{ $acceptance->mailbox }}.</p>
        @elseif ($acceptance->accepted === false)
            <p><span class="is-bad">Refused on {{ App\Support\Dates::full($acceptance->answered_on) }}</span>, in answer to the letter to {{ $acceptance->mailbox }}.@if ($acceptance->words !== null) They say: “<bdi>{{ $acceptance->words }}</bdi>”@endif</p>
        @else
            <p>A letter to <a href="{{ route('accounts.show', $acceptance->account) }}">{{ $acceptance->mailbox }}</a> asks for it; nothing moves before it is answered.
                @if ($letter !== null)It <span @class(['is-bad' => $letter->state->hasFailed(), 'is-soon' => $letter->state === App\Models\LetterState::Doubtful])>{{ $words->say('letters.state.'.$letter->state->value) }}</span>@if ($letter->answer !== null): <bdi>{{ $letter->answer }}</bdi>@else.@endif @endif</p>
            @if ($letter !== null)
                @if (Lang::has('letters.cure.'.$letter->state->value))<p class="lesser">{{ $words->say('letters.cure.'.$letter->state->value) }}</p>@endif
                <details><summary>What it says</summary><pre class="letter" tabindex="0">{{ str_replace(App\Models\Letter::LINK, '(the link stands only in the letter itself)', $letter->body) }}</pre></details>
            @endif
            @can('tick', $docket)<form method="post" action="{{ route('dockets.write', $docket) }}" data-once>@csrf<p><button>Write again</button> <span class="lesser">The link in the letter before is good no more.</span></p></form>@endcan
        @endif
    </section>
@endif
