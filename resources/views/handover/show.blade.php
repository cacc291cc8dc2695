@php($count = count($verdicts->clear))
@php($judged = $verdicts->kept)
@php($all = count($verdicts->kept))
@php($stopped = $verdicts->stopped())
@php($what = fn (int $n): string => number_format($n).' '.($n === 1 ? 'name' : 'names'))
@php($whose = $receiver === null ? '' : ($receiver->owner?->name ?? $receiver->registrar->name.' '.$receiver->number))
@php($givers = collect($judged)->groupBy(fn ($one) => $one->file->account->id))
@php($shownOf = collect($rows)->groupBy(fn ($one) => $one->file->account->id))
<x-layout :title="'Hand over '.$what($all)" area="Movements">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('roll') }}">The Roll</a> / @if ($request->filled('name')) <a href="{{ route('names.show', $judged[0]->file->facts->name->ascii ?? $request->input('name')) }}">{{ $judged[0]->file->facts->name->unicode ?? '' }}</a> @elseif ($request->input('of') === 'sheaf') the sheaf, {{ $what($all) }} @else a pasted list, {{ $what($all) }} @endif</nav>
    <div class="deed-head">
        <h1>Hand over {{ $what($all) }}</h1>
        <div class="sentence">to
            @if ($receiver === null)<strong>an account to be chosen</strong>@else<details class="menu word" id="receiver"><summary>{{ ($receiver->owner !== null ? $receiver->owner->name.', ' : '').$receiver->registrar->name.' '.$receiver->number }}</summary><div class="menu-sheet menu-wide">@include('handover.find')</div></details>@endif, held afterwards for
            <x-word :label="$client?->name ?? __('the :served of each')">
                <a href="{{ $request->address(['client' => 'keep']) }}" @if ($client === null) aria-current="true" @endif>{{ __('the :served of each, as now') }}</a>
                @if (count($clients) <= App\Http\Handover\HandOverController::LISTED)
                    @foreach ($clients as $id => $called)<a href="{{ $request->address(['client' => $id]) }}" @if ($client?->id === $id) aria-current="true" @endif>{{ $called }}</a>@endforeach
                @else
                    <form method="get" action="{{ route('hand-over') }}" class="ask">
                        @include('handover.others', ['kept' => ['receiver', 'by', ...App\Http\Handover\HandOverRequest::REGISTRANT]])
                        <select name="client" aria-label="{{ __('Held afterwards for which :served') }}">@foreach ($clients as $id => $called)<option value="{{ $id }}" @selected($client?->id === $id)>{{ $called }}</option>@endforeach</select> <button>Judge again</button>
                    </form>
                @endif
            </x-word>, registrant
            <details class="menu word" id="registrant" @if ($registrant === null && $request->word('contact') !== '') open @endif><summary>{{ $registrant === null ? 'kept as it is' : Str::limit($registrantCalled, 40) }}</summary><div class="menu-sheet menu-wide">
                <form method="get" action="{{ route('hand-over') }}" class="fields">
                    @include('handover.others', ['kept' => ['receiver', 'client', 'by']])
                    @include('deeds.terms.registrant', ['said' => $registrant?->said() ?? [], 'required' => false])
                    <p><button>Judge again</button> @if ($registrant !== null)<a href="{{ $request->address(['contact' => null, 'agreement' => null, 'authority' => null, 'agent' => null]) }}">Keep it as it is</a>@endif</p>
                </form>
            </div></details>, servers <strong>kept as they are</strong>, answer wanted by
            <x-word :label="$words->near($by)">
                <form method="get" action="{{ route('hand-over') }}" class="ask">
                    @foreach (['of', 'name', 'receiver', 'client', 'contact', 'agreement', 'authority', 'agent'] as $key)@if ($request->filled($key))<input type="hidden" name="{{ $key }}" value="{{ $request->input($key) }}">@endif @endforeach
                    <label for="by">Answer wanted by</label> <input id="by" type="date" name="by" value="{{ $by->date() }}" required> <button>Judge again</button>
                </form>
            </x-word>.
        </div>
    </div>
    @if ($request->input('of') === 'sheaf')<x-in-step/>@endif
    <div class="cards cards-deed">
        <section class="card" aria-labelledby="them"><h2 id="them">Is it them?</h2>
            @if ($receiver === null)
                <p>Choose the receiving account; it is then shown whole, so that no mistyped character gives a name away.</p>
                @include('handover.find')
            @else
                @php($asked = array_map(fn ($i) => [$i, $receiver->facts()->identifier($i)], $receiver->registrar->receiver_by->identifiers()))
                <p>Account <strong>{{ $receiver->number }}</strong> at {{ $receiver->registrar->name }}, {{ $receiver->owner === null ? 'the house’s own' : 'of '.$receiver->owner->name }}.
                    {{ $receiver->registrar->name }} asks for @foreach ($asked as [$which, $value]){{ __('words.identifier.'.$which->value) }} <strong class="mono">{{ $value ?? '(not written down)' }}</strong>{{ $loop->last ? '' : ' and ' }}@endforeach: @if ($receiver->proven_at !== null)<span class="is-good">known to belong together since {{ App\Support\Dates::full($receiver->proven_at) }}</span>.@else<span class="is-soon">unproven that they belong together</span>{{ $asksFirst ? '; their answer will prove it' : '' }}.@endif</p>
                <p>Holds <a href="{{ route('roll', ['account' => $receiver->id]) }}"><strong>{{ $what($tally?->int('names') ?? 0) }}</strong></a>{!! $example === null ? '' : ', <span class="mono">'.e($example).'</span> among them' !!}. @if ($last !== null) Last took a handover on {{ App\Support\Dates::full($last->instant('at')) }} (<a href="{{ route('dockets.show', $last->int('docket_id')) }}">docket {{ $last->int('docket_id') }}</a>).@else Has never taken a handover in our books.@endif</p>
            @endif
        </section>
        <section class="card" aria-label="What changes">
            <table class="sheet low keep">
                <thead><tr><th scope="col">What changes</th><th scope="col">before</th><th scope="col">after</th></tr></thead>
                <tbody>
                <tr><th scope="row">Account</th><td>{{ $givers->map(fn ($group) => $group[0]->file->account->number)->join(', ') }}</td><td>{{ $receiver?->number ?? 'to be chosen' }}</td></tr>
                <tr><th scope="row">Held for</th><td>{{ collect($judged)->map(fn ($one) => $one->file->clientName)->unique()->take(3)->join(', ') }}</td><td>{{ $client?->name ?? 'the same' }}</td></tr>
                <tr><th scope="row">Who pays the renewals</th><td>{{ $givers->map(fn ($group) => 'account '.$group[0]->file->account->number)->take(3)->join(', ') }}</td><td>{{ $receiver === null ? 'to be chosen' : 'account '.$receiver->number.', '.($receiver->owner?->name ?? 'the house') }}</td></tr>
                @if ($registrant !== null)<tr><th scope="row">Registrant</th><td>{{ collect($judged)->map(fn ($one) => $one->file->registrant)->unique()->take(3)->join(', ') }}</td><td><bdi>{{ $registrantCalled }}</bdi></td></tr>@endif
                <tr><th scope="row">{{ $registrant === null ? 'Registrant, servers, end' : 'Servers, end' }}</th><td></td><td>the same</td></tr>
                </tbody>
            </table>
        </section>
    </div>
    @if ($receiver !== null || $stopped > 0)@include('deeds.groups')@endif
    <table class="sheet">
        <thead><tr><th scope="col">Name</th><th scope="col">Ends</th><th scope="col">Today</th><th scope="col">What is in the way, or worth knowing</th><th scope="col">Cure</th></tr></thead>
        <tbody>
        @foreach ($givers as $group)
            @if ($givers->count() > 1)<tr class="group"><th colspan="5" scope="rowgroup">From {{ $group[0]->file->account->registrarName }} {{ $group[0]->file->account->number }}: {{ $what($group->count()) }}</th></tr>@endif
            @foreach ($shownOf[$group[0]->file->account->id] ?? [] as $one)
                <tr>
                    <th scope="row"><a class="name" href="{{ route('names.show', $one->file->facts->name->ascii) }}">{{ $one->file->facts->name->unicode }}</a></th>
                    <td data-label="Ends">{{ $one->file->facts->ends === null ? 'not known' : App\Support\Dates::full($one->file->facts->ends) }}</td>
                    <td><x-verdict :readiness="$one->readiness" :words="$words"/></td>
                    <td>@forelse ($one->readiness->inOrder() as $finding)<span class="reason">{{ $words->finding($finding) }}.</span>@empty<span class="lesser">nothing</span>@endforelse</td>
                    <td>@include('deeds.cures', ['findings' => $one->readiness->reasons(), 'file' => $one->file])</td>
                </tr>
            @endforeach
        @endforeach
        </tbody>
    </table>
    @if (count($rows) < $all)<p>{{ $what($all - count($rows)) }} more, judged as those above. <a href="{{ $address(['rows' => 'all']) }}">Show every one</a></p>@endif
    <x-slot:foot>
        <div class="foot" aria-label="What will happen" role="region">
            <div class="foot-say">
                <p>@if ($receiver === null)<strong>Choose the receiving account.</strong> {{ $stopped === 0 ? '' : number_format($stopped).' of '.number_format($all).' can’t go anywhere now.' }}@else<strong>{{ number_format($count) }} of {{ number_format($all) }} can go now.</strong> @if ($stopped > 0) {{ number_format($stopped) }} can’t. @endif @endif</p>
                <p class="lesser">@if ($receiver !== null){{ $words->say($asksFirst ? 'handover.asked_first' : 'handover.confirms.'.$receiver->registrar->confirms->value, ['by' => $words->near($by)]) }} Free. It can be called off until then.@else Nothing changes before the receiver is chosen and the button pressed.@endif</p>
            </div>
            @if ($receiver !== null && $stopped > 0 && $count > 0)<a class="button" href="{{ $request->address(['without' => array_map(fn ($group) => $group->finding->key(), $verdicts->groups())]) }}">Leave out the {{ $stopped === 1 ? 'one' : number_format($stopped) }}</a>@endif
            @if ($receiver !== null && $count > 0)
                <form method="post" action="{{ route('hand-over.store') }}" data-once>
                    @csrf
                    @foreach ($request->which() as $key => $value)@foreach ((array) $value as $one)<input type="hidden" name="{{ $key }}{{ is_array($value) ? '[]' : '' }}" value="{{ $one }}">@endforeach @endforeach
                    <input type="hidden" name="receiver" value="{{ $receiver->id }}"><input type="hidden" name="client" value="{{ $client?->id ?? 'keep' }}"><input type="hidden" name="by" value="{{ $by->date() }}">
                    @foreach (array_diff_key($registrant?->said() ?? [], ['by' => true]) as $key => $value)<input type="hidden" name="{{ $key }}" value="{{ $value }}">@endforeach
                    <input type="hidden" name="token" value="{{ $token }}"><input type="hidden" name="shown" value="{{ $shown }}">
                    @can('settle')
                        <button class="main" name="act" value="settle">Hand {{ $what($count) }} to {{ Str::limit($whose, 40) }}</button>
                    @else
                        <button class="main" name="act" value="prepare">Prepare {{ $what($count) }} for {{ Str::limit($whose, 40) }}</button>
                    @endcan
                </form>
            @endif
        </div>
    </x-slot:foot>
</x-layout>
