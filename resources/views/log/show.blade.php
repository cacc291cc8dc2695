@inject('told', App\View\LogInWords::class)
<x-layout title="The log">
    <x-settings current="log"/>
    <div class="head">
        <div><h1>The log</h1>
            @if ($head !== null)<p class="sentence">{{ number_format($head->proofs) }} {{ $head->proofs === 1 ? 'proof' : 'proofs' }}; {{ $head->closedTo === null ? 'no day is closed yet' : 'closed to '.$head->closedTo }}, {{ number_format($head->rows) }} {{ $head->rows === 1 ? 'row' : 'rows' }} since. A receipt kept elsewhere tells later what is gone.</p>@endif</div>
        @if ($head !== null)<p class="head-deeds"><a class="button" href="{{ route('log.receipt', $sha256) }}">Take a receipt</a> <a class="button" href="{{ route('log.stamp-request', $sha256) }}" title="of this receipt, for a time-stamping service (RFC 3161)">Stamp request</a></p>@endif
    </div>
    <form method="get" action="{{ route('log') }}" class="ask log-ask">
        <label for="l-person">By</label> <select id="l-person" name="person"><option value="">everybody</option>@foreach ($people as $one)<option value="{{ $one->id }}" @selected($person === $one->id)>{{ $one->name }}</option>@endforeach</select>
        <label for="l-event">what</label> <select id="l-event" name="event"><option value="">anything</option>@foreach ($events as $one)<option value="{{ $one }}" @selected($event === $one)>{{ $told->event($one) }}</option>@endforeach</select>
        <label for="l-q">with</label> <input id="l-q" name="q" value="{{ $text }}" maxlength="100" size="26" placeholder="a name, a person, a number"> <button class="main">Show</button>
    </form>
    @if ($faults !== [])
        <div class="told told-bad" role="alert"><p><strong>The records are not what they were.</strong> Nothing is kept over their head until whoever runs this machine has looked (<code>./acre verify</code>).</p><ul>@foreach ($faults as $fault)<li>{{ ucfirst($fault) }}.</li>@endforeach</ul></div>
    @endif
    @if ($rows === [])
        <div class="empty"><h2>Nothing was written that answers to this</h2><p><a href="{{ route('log') }}">See all of it</a></p></div>
    @else
    <table class="sheet low log"><caption class="hide">What was done, newest first</caption>
        <thead><tr><th scope="col">When</th><th scope="col">Who</th><th scope="col">What</th><th scope="col">To what</th><th scope="col">More</th><th scope="col">From</th></tr></thead>
        <tbody>
        @foreach ($rows as $row)
            <tr><td data-label="When" class="date"><time datetime="{{ $row->text('at') }}">{{ Str::substr($row->text('at'), 0, 19) }}</time>@if (Str::substr($row->text('trade_at'), 0, 10) !== Str::substr($row->text('at'), 0, 10))<span class="lesser">house’s day {{ Str::substr($row->text('trade_at'), 0, 10) }}</span>@endif</td>
                <td data-label="Who">{{ $row->textOrNull('person') ?? 'nobody: by itself' }}</td>
                <th scope="row">{{ $told->event($row->text('event'), $row->text('subject')) }}</th>
                <td data-label="To what">@if ($row->textOrNull('ascii') !== null)<a class="name" href="{{ route('names.show', $row->text('ascii')) }}">{{ $row->text('unicode') }}</a>@elseif ($row->text('subject') === 'docket' && $row->intOrNull('subject_id') !== null)<a href="{{ route('dockets.show', $row->int('subject_id')) }}">docket {{ $row->int('subject_id') }}</a>@else{{ $row->text('subject') }} {{ $row->intOrNull('subject_id') }}@endif</td>
                <td data-label="More">@foreach ($told->more($row) as [$said, $leads])@if ($leads === null)<bdi class="fact">{{ $said }}</bdi>@else<a class="fact" href="{{ $leads }}">{{ $said }}</a>@endif @endforeach</td>
                <td data-label="From" class="mono date">{{ $row->textOrNull('from_address') ?? '' }}</td></tr>
        @endforeach
        </tbody>
    </table>
    @if ($next !== null)<p class="pages"><a class="button" href="{{ route('log', array_filter(['person' => $person, 'event' => $event, 'q' => $text, 'before' => $next])) }}">Earlier</a></p>@endif
    @endif
</x-layout>
