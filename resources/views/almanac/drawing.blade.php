@php($w = App\View\AlmanacDrawing::WIDTH)
@php($floor = App\View\AlmanacDrawing::FLOOR)
@php($top = $drawing->top())
<div class="card drawing-almanac apart">
    <svg viewBox="0 {{ $top - 20 }} {{ $w }} {{ $floor - $top + 24 }}" role="img" aria-label="{{ __('almanac.drawing', [
        'currency' => $currency,
    ]) }}">
        <defs>
            <pattern id="a-hatch-{{ $currency }}" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                <line class="d-late-hatch" x1="0" y1="0" x2="0" y2="6" />
            </pattern>
        </defs>
        @foreach ($drawing->months as $month)
            <line class="d-grid" x1="{{ $month['x'] }}" x2="{{ $month['x'] }}" y1="{{ $top }}" y2="{{ $floor + 3 }}" />
            @if ($month['label'] !== '')
                <text class="{{ $month['strong'] ? 'd-label-strong' : 'd-label' }}" x="{{ $month['x'] + 4 }}"
                    y="{{ $top - 6 }}">{{ $month['label'] }}</text>
            @endif
        @endforeach
        @if ($drawing->path !== null)
            <line class="d-post-thin" x1="4" x2="{{ $w - 4 }}" y1="{{ $drawing->nothing() }}" y2="{{ $drawing->nothing() }}" />
            @if ($drawing->pathToday !== null)
                <path class="d-balance-today" d="{{ $drawing->pathToday }}" />
            @endif
            <path class="d-balance" d="{{ $drawing->path }}" />
            <text class="d-label" x="{{ $w - 6 }}" y="{{ $drawing->nothing() + 14 }}" text-anchor="end">{{
                __('almanac.nothing_left')
            }}</text>
            <text class="d-label-today" x="12" y="{{ max($top + 22, $drawing->holdsY - 7) }}">{{ $drawing->holds }}</text>
        @endif
        @foreach ($drawing->topUps as $x)
            <path class="d-top-up" d="M{{ $x }} {{ $top + 8 }}l5 8h-10z" />
        @endforeach
        <line class="d-post-thin" x1="4" x2="{{ $w - 4 }}" y1="{{ $floor }}" y2="{{ $floor }}" />
        @foreach ($drawing->bars as $bar)
            @if ($bar['paid'] > 0)
                <rect class="d-charge" x="{{ $bar['x'] }}" y="{{ $floor - $bar['paid'] }}" width="{{ $bar['width'] }}"
                    height="{{ $bar['paid'] }}" />
            @endif
            @if ($bar['refused'] > 0)
                @php($x = $bar['x'] + ($bar['paid'] > 0 ? $bar['width'] + 1 : 0))
                <rect class="d-late" x="{{ $x }}" y="{{ $floor - $bar['refused'] }}" width="{{ $bar['width'] }}"
                    height="{{ $bar['refused'] }}" />
                <rect fill="url(#a-hatch-{{ $currency }})" x="{{ $x }}" y="{{ $floor - $bar['refused'] }}" width="{{ $bar['width'] }}"
                    height="{{ $bar['refused'] }}" />
                <rect class="d-late-edge" x="{{ $x }}" y="{{ $floor - $bar['refused'] }}" width="{{ $bar['width'] }}"
                    height="{{ $bar['refused'] }}" />
            @endif
        @endforeach
        @if ($drawing->firstRefused !== null)
            <text class="d-label-late" x="{{ $drawing->firstRefused['x'] }}"
                y="{{ $floor - $drawing->firstRefused['height'] - 6 }}">{{ trans_choice(
                'almanac.refused',
                $drawing->firstRefused['count'],
                ['count' => number_format($drawing->firstRefused['count'])],
            ) }}</text>
        @endif
        @if ($drawing->isToday)
            <line class="d-today" x1="5" x2="5" y1="{{ $top }}" y2="{{ $floor + 3 }}" />
        @endif
    </svg>
</div>
