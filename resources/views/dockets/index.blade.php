<x-layout title="Movements" area="Movements">
    <div class="head">
        <div><h1>Movements</h1>
            <div class="sentence">Showing <span class="term" title="{{ __('words.explained.docket') }}">dockets</span> that are
                <x-word :label="$open ? 'still open' : 'ended'"><a href="{{ route('dockets.index') }}" @if ($open) aria-current="true" @endif>still open</a><a href="{{ route('dockets.index', ['state' => 'ended']) }}" @if (! $open) aria-current="true" @endif>ended</a></x-word>, newest first.</div></div>
        @can('prepare')<p class="head-deeds"><a class="button" href="{{ route('hand-over') }}">Hand over names</a></p>@endcan
    </div>
    @if ($dockets->isEmpty())
        <div class="empty"><h2>{{ $open ? 'Nothing is under way' : 'Nothing has ended yet' }}</h2><p>{{ $open ? 'A handover begins with names: tick them on the Roll, or paste them.' : 'A docket stands here when each of its names has come to an end.' }}</p></div>
    @else
    <table class="sheet">
        <thead><tr><th scope="col">Docket</th><th scope="col">What</th><th scope="col">How far</th><th scope="col">Answer by</th><th scope="col">Prepared</th></tr></thead>
        <tbody>
        @foreach ($dockets as $docket)
            @php($how = $progress[$docket->id])
            <tr>
                <th scope="row"><a href="{{ route('dockets.show', $docket) }}">Docket {{ $docket->id }}</a></th>
                <td>{{ $deeds->of($docket)->headline($docket->terms, $how->meant()) }}</td>
                <td data-label="How far">@if ($docket->state === App\Models\DocketState::Prepared)<span class="is-soon">waits for a Steward</span>@elseif ($docket->state === App\Models\DocketState::CalledOff) called off @else {{ $how->done }} of {{ $how->meant() }} done @if ($how->refused > 0)<span class="lesser is-bad">{{ $how->refused }} refused</span>@endif @endif</td>
                <td data-label="Answer by">{{ isset($docket->terms['answer_by']) ? App\Support\Dates::full(Acre\Core\Time\Instant::of($docket->terms['answer_by'])) : '' }}</td>
                <td data-label="Prepared">{{ App\Support\Dates::full($docket->prepared_on) }}<span class="lesser">{{ $docket->preparer->name }}</span></td>
            </tr>
        @endforeach
        </tbody>
    </table>
    {{ $dockets->links('components.pages') }}
    @endif
</x-layout>
