@php($isOpen = $handing->closed_on === null)
<x-layout :title="'Custody of '.$handing->from->name.' to '.$handing->to->name" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('custody.index') }}">Who can get in</a> / <a href="{{ route('custody.show', $handing->from) }}">{{ $handing->from->name }}</a></nav>
    <div class="head">
        <div><h1>What {{ $handing->from->name }} has goes to {{ $handing->to->name }}</h1>
            <p class="sentence">Begun on {{ App\Support\Dates::full($handing->opened_on) }} by {{ $handing->opener->name }}. @if ($isOpen)<span class="is-move">{{ $open === 1 ? 'One account is' : $open.' accounts are' }} left to do.</span>@else<span class="is-good">Closed on {{ App\Support\Dates::full($handing->closed_on) }}; every account has come to an end, as follows.</span>@endif</p></div>
        <div class="head-deeds"><button type="button" data-print>{{ $isOpen ? 'Print the slip' : 'Print' }}</button></div>
    </div>
    <form method="post" action="{{ route('custody.handing.end', $handing) }}" id="slip">
        @csrf
        <table class="sheet">
            <caption class="hide">The accounts, and what to do at each</caption>
            <thead><tr>@if ($isOpen)<th class="c-tick" scope="col"><span class="hide">Tick</span></th>@endif<th scope="col">Account</th><th scope="col">What to do there</th><th scope="col">How it ended</th></tr></thead>
            <tbody>
            @foreach ($handing->lines as $line)
                @php($called = $line->account->registrar->name.' '.$line->account->number)
                <tr>
                    @if ($isOpen)<td class="c-tick">@if ($line->state === App\Models\HandingState::Open)<input type="checkbox" name="accounts[]" value="{{ $line->account_id }}" @checked(in_array((string) $line->account_id, (array) old('accounts', []), true)) aria-label="{{ $called }}">@endif</td>@endif
                    <th scope="row"><a href="{{ route('accounts.show', $line->account) }}">{{ $called }}</a>@if ($line->account->login !== null)<span class="lesser">login {{ $line->account->login }}</span>@endif</th>
                    <td data-label="What to do there"><ol class="steps">@foreach ($line->had() as $part)<li>{{ $words->say($line->state === App\Models\HandingState::Open && ($custody[$line->account_id]['custody'] ?? null)?->has($handing->to_id, $part) === true && $part !== Acre\Core\Contact\CustodyPart::Card ? 'contacts.custody.has_already' : 'contacts.custody.do.'.$part->value, ['who' => $handing->from->name, 'next' => $handing->to->name]) }}</li>@endforeach</ol></td>
                    <td data-label="How it ended">@if ($line->state === App\Models\HandingState::Open)<span class="is-move">to be done</span>@elseif ($line->state === App\Models\HandingState::Done)<span class="is-good">done</span> on {{ App\Support\Dates::full($line->ended_on) }}@if ($line->ender !== null) by {{ $line->ender->name }}@endif @else<span class="is-soon">left as it is</span> on {{ App\Support\Dates::full($line->ended_on) }}<span class="lesser"><bdi>{{ $line->words }}</bdi></span>@endif</td>
                </tr>
            @endforeach
            </tbody>
        </table>
    </form>
    @if ($handing->proof !== null)
        <section class="card apart" aria-labelledby="proof"><h2 id="proof">The proof</h2>
            <p>Its text carries the digest of the proof before it, so that none can be changed or left out later. SHA-256: <span class="mono">{{ $handing->proof->sha256 }}</span></p>
            <p><a href="{{ route('custody.handing.proof', $handing) }}">Download the text</a></p>
        </section>
    @endif
    @if ($isOpen)
        @can('prepare')
            <x-slot:foot><div class="foot" role="region" aria-label="How it ended">
                <div class="foot-say"><p><strong>At the ticked accounts</strong></p><p class="lesser">A card stays its holder’s: the other’s is written down at the account.</p></div>
                @can('settle')
                    <details class="menu up" @error('words') open @enderror><summary class="button">Leave it as it is</summary><div class="menu-sheet fields">
                        <label for="words">Why</label><input form="slip" id="words" name="words" maxlength="1000" value="{{ old('words') }}">
                        <p><button form="slip" name="how" value="left">Leave it as it is</button></p>
                    </div></details>
                @endcan
                <button form="slip" name="how" value="done" class="main">It is done there</button>
            </div></x-slot:foot>
        @endcan
    @endif
</x-layout>
