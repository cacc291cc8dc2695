@php($whose = fn ($item) => $rounds->marks[$item->key]->givenToName ?? '')
@php($sections = $rounds->sections())
@php($later = $rounds->later())
<x-layout title="Rounds" area="Rounds">
    <h1>Rounds</h1>
    <div class="sentence">{{ $told->day() }}. @if ($told->amiss() !== null)<strong class="is-bad">{{ $told->amiss() }}.</strong> @endif<strong>{{ $told->things() }}</strong> @if ($told->dark() !== null || $told->loss() !== null)Left undone this week, @if ($told->dark() !== null)<strong class="is-bad">{{ $told->dark() }}</strong>{{ $told->loss() === null ? '.' : ' and' }}@endif @if ($told->loss() !== null)<strong>{{ $told->loss() }}</strong> is lost.@endif @endif
        Showing <x-word :label="$mine ? 'mine and nobody’s' : 'everybody’s'"><a href="{{ route('rounds') }}" @if (! $mine) aria-current="true" @endif>everybody’s</a><a href="{{ route('rounds', ['whose' => 'mine']) }}" @if ($mine) aria-current="true" @endif>mine and nobody’s</a></x-word>. <a class="no-paper" href="{{ route('rounds.letter') }}">As a letter</a> · <a class="no-paper" href="{{ route('rounds.dealt') }}">{{ __('rounds.dealt.title') }}</a>@if ($told->sums($sums) !== null)<br>{{ $told->sums($sums) }}@endif</div>
    @if (session('undo') !== null)<form method="post" action="{{ route('rounds.mark') }}" class="inline">@csrf<input type="hidden" name="thing" value="{{ session('undo') }}"><button class="plain" name="how" value="back">Put it back</button></form>@endif
    <section class="card weeks" aria-label="The coming weeks" tabindex="0">
        <svg viewBox="0 0 {{ App\View\WeeksDrawing::WIDTH }} {{ $drawing->base + 8 }}" role="img" aria-label="{{ $drawing->told }}">
            @foreach ($drawing->weekends as $x)<rect class="w-weekend" x="{{ $x }}" y="20" width="{{ $drawing->day * 2 }}" height="{{ $drawing->base - 20 }}"/>@endforeach
            @foreach ($drawing->weeks as $week)<line class="w-week" x1="{{ $week['x'] }}" x2="{{ $week['x'] }}" y1="20" y2="{{ $drawing->base }}"/><text class="w-label" x="{{ $week['x'] + 3 }}" y="13">{{ $week['text'] }}</text>@endforeach
            <line class="w-ground" x1="0" x2="{{ App\View\WeeksDrawing::WIDTH }}" y1="{{ $drawing->base }}" y2="{{ $drawing->base }}"/>
            @foreach ($drawing->boxes as $box)<rect class="w-box w-{{ $box['section'] }}" x="{{ $box['x'] }}" y="{{ $box['y'] }}" width="{{ round($drawing->day - 10, 1) }}" height="14"><title>{{ $box['title'] }}</title></rect>@endforeach
            @foreach ($drawing->more as $more)<text class="w-label" x="{{ $more['x'] }}" y="{{ $more['y'] }}">{{ $more['text'] }}</text>@endforeach
            <line class="w-today" x1="{{ $drawing->today }}" x2="{{ $drawing->today }}" y1="18" y2="{{ $drawing->base }}"/>
        </svg>
    </section>
    @if ($rounds->isCut)<p class="lesser">Of each kind the first {{ App\Queries\Rounds\RoundsKind::MOST }} are told and drawn, what is due first before the rest; <a href="{{ route('roll') }}">the Roll</a> has every one.</p>@endif
    @if ($sections === [])
        <div class="empty">
            @if ($holds)
                <h2>Nothing to do today</h2>
                <p>{{ $later === [] ? 'And nothing in the weeks that are drawn.' : (count($later) === 1 ? 'One thing comes' : count($later).' things come').' later; the drawing shows when.' }} <a href="{{ route('roll') }}">To the Roll</a></p>
            @else
                <h2>Nothing is on the Roll yet</h2>
                <p>What must be done, and by when, stands here as soon as there are names.</p>
                @can('prepare')<p><a class="button main" href="{{ route('bring-in.create') }}">Bring names in from a spreadsheet</a> <a class="button" href="{{ route('names.create') }}">{{ __('names.add.title') }}</a></p>@endcan
            @endif
        </div>
    @else
    <table class="sheet rounds">
        <caption class="hide">What is due in the next two weeks, dearest to miss first</caption>
        <thead class="hide"><tr><th scope="col">By when</th><th scope="col">What</th><th scope="col">What leaving it means</th><th scope="col">Whose</th><th scope="col">Deed</th></tr></thead>
        @foreach ($sections as $section => $items)
            <tbody>
            <tr class="group rounds-{{ $section }}"><th colspan="5" scope="rowgroup">{{ __('rounds.section.'.$section) }}</th></tr>
            @foreach ($all ? $items : array_slice($items, 0, $most) as $item)@include('rounds.item')@endforeach
            @if (! $all && count($items) > $most)<tr><td></td><td colspan="4"><a href="{{ route('rounds', array_filter(['all' => 1, 'whose' => $mine ? 'mine' : null])) }}">And {{ number_format(count($items) - $most) }} more: show all</a></td></tr>@endif
            </tbody>
        @endforeach
    </table>
    @endif
    @if ($later !== [])
        <details class="card later"><summary>{{ count($later) === 1 ? 'One thing' : number_format(count($later)).' things' }} in the weeks after</summary>
            <table class="sheet rounds low"><caption class="hide">What is due in the weeks after</caption><thead class="hide"><tr><th scope="col">By when</th><th scope="col">What</th><th scope="col">What leaving it means</th><th scope="col">Whose</th><th scope="col">Deed</th></tr></thead><tbody>@foreach (array_slice($later, 0, 200) as $item)@include('rounds.item')@endforeach</tbody></table>
        </details>
    @endif
</x-layout>
