{{-- $drawing: how many begin on each day, and some names one by one --}}
<section class="card drawing" aria-label="{{ __('plans.drawing') }}" tabindex="0">
    <svg viewBox="0 0 {{ App\View\PlanDrawing::WIDTH }} {{ $drawing->height }}" aria-hidden="true" focusable="false">
        @foreach ($drawing->weekends as $x)
            <rect class="w-weekend" x="{{ $x }}" y="24" width="{{ $drawing->day * 2 }}" height="{{ $drawing->height - 28 }}" />
        @endforeach
        @foreach ($drawing->weeks as $week)
            <text class="d-label" x="{{ $week['x'] }}" y="14">{{ $week['text'] }}</text>
        @endforeach
        <text class="d-label" x="2" y="50">{{ __('plans.names_a_day') }}</text>
        @foreach ($drawing->days as $day)
            <rect class="t-now" x="{{ $day['x'] }}" y="{{ $day['y'] }}" width="{{ $day['width'] }}" height="{{ $day['height'] }}" />
            @if ($day['width'] >= 12 || count($drawing->days) <= 30)
                <text class="d-label-flag" x="{{ $day['x'] + $day['width'] / 2 }}" y="{{ $day['y'] - 4 }}"
                    text-anchor="middle">{{ $day['count'] }}</text>
            @endif
        @endforeach
        <line class="d-grid-strong" x1="{{ App\View\PlanDrawing::LEFT }}" x2="{{ App\View\PlanDrawing::RIGHT }}"
            y1="{{ App\View\PlanDrawing::TOP - 7 }}" y2="{{ App\View\PlanDrawing::TOP - 7 }}" />
        @if ($drawing->rows !== [])
            <text class="d-label" x="{{ App\View\PlanDrawing::RIGHT + 20 }}" y="50">{{ __('plans.starts') }}</text>
        @endif
        @foreach ($drawing->rows as $row)
            @php($one = $row['name'])
            <text class="d-name" x="2" y="{{ $row['y'] + 20 }}">{{ Str::limit($one->file->facts->name->unicode, 27, '…') }}</text>
            @if ($row['hold'] !== null)
                <line class="d-bracket" x1="{{ App\View\PlanDrawing::LEFT }}" x2="{{ $row['hold'] }}" y1="{{ $row['y'] + 22 }}"
                    y2="{{ $row['y'] + 22 }}" />
                <line class="d-bracket" x1="{{ $row['hold'] }}" x2="{{ $row['hold'] }}" y1="{{ $row['y'] + 17 }}"
                    y2="{{ $row['y'] + 27 }}" />
            @endif
            <rect class="t-now" x="{{ $row['x'] }}" y="{{ $row['y'] + 14 }}" width="{{ $row['width'] }}" height="13" />
            <rect class="t-tail" x="{{ $row['x'] + $row['width'] }}" y="{{ $row['y'] + 17 }}" width="{{ $row['tail'] }}" height="7" />
            @if ($row['coin'] !== null)
                <g>
                    <circle class="d-coin" cx="{{ $row['coin'] }}" cy="{{ $row['y'] + 20 }}" r="7.5" />
                    <text class="d-coin-sign" x="{{ $row['coin'] }}" y="{{ $row['y'] + 23.2 }}">{{ $one->renewal?->sign() ?? '¤' }}</text>
                </g>
            @endif
            <text class="d-label-strong" x="{{ App\View\PlanDrawing::RIGHT + 20 }}"
                y="{{ $row['y'] + 14 }}">{{ App\Support\Dates::short($one->placed->day) }}</text>
            <text class="d-label-small" x="{{ App\View\PlanDrawing::RIGHT + 20 }}" y="{{ $row['y'] + 29 }}">{{ __(
                'plans.why.' . $one->placed->why->value,
                ['held' => $one->heldUntil === null ? '' : App\Support\Dates::short($one->heldUntil)],
            ) }}</text>
        @endforeach
        @if ($drawing->today !== null)
            <line class="d-today" x1="{{ $drawing->today }}" x2="{{ $drawing->today }}" y1="22" y2="{{ $drawing->height - 4 }}" />
        @endif
    </svg>
</section>
