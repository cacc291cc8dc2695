@props(['drawing', 'id'])
@php($bar = $drawing->bar())
<svg viewBox="0 0 {{ $drawing->width }} {{ $drawing->height() }}" role="img" aria-labelledby="{{ $id }}-t {{ $id }}-d">
    <title id="{{ $id }}-t">{{ __('common.life_line') }}</title>
    <desc id="{{ $id }}-d">{{ $drawing->told }}</desc>
    <defs>
        <pattern id="{{ $id }}-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line class="d-late-hatch" x1="0" y1="0" x2="0" y2="7" />
        </pattern>
    </defs>
    @foreach ($drawing->ticks as $tick)
        <line class="d-grid-strong" x1="{{ round($tick->x, 1) }}" x2="{{ round($tick->x, 1) }}" y1="20"
            y2="{{ $drawing->height() - 14 }}" />
        @if ($tick->label !== '')
            <text class="d-label" x="{{ round($tick->x, 1) + 4 }}" y="14">{{ $tick->label }}</text>
        @endif
    @endforeach
    @foreach ($drawing->shapes as $s)
        @if ($s instanceof Acre\Core\Drawing\Bar)
            @if ($s->kind === Acre\Core\Drawing\BarKind::Paid)
                <rect class="d-paid" x="{{ $drawing->x($s->x) }}" y="{{ $bar }}" width="{{ $drawing->span($s->width) }}"
                    height="18" />
                <rect class="d-paid-edge" x="{{ $drawing->x($s->x) }}" y="{{ $bar - 1 }}" width="{{ $drawing->span($s->width) }}"
                    height="2.4" />
            @elseif ($s->kind === Acre\Core\Drawing\BarKind::Expected)
                <rect class="d-expected" x="{{ $drawing->x($s->x) }}" y="{{ $bar }}" width="{{ $drawing->span($s->width) }}"
                    height="17" />
            @else
                <rect class="d-late" x="{{ $drawing->x($s->x) }}" y="{{ $bar }}" width="{{ $drawing->span($s->width) }}"
                    height="18" />
                <rect fill="url(#{{ $id }}-hatch)" x="{{ $drawing->x($s->x) }}" y="{{ $bar }}"
                    width="{{ $drawing->span($s->width) }}" height="18" />
            @endif
        @elseif ($s instanceof Acre\Core\Drawing\Post)
            <line class="d-post" x1="{{ $drawing->x($s->x) }}" x2="{{ $drawing->x($s->x) }}" y1="{{ $bar - 9 }}"
                y2="{{ $bar + 25 }}" />
        @elseif ($s instanceof Acre\Core\Drawing\Coin)
            <g transform="translate({{ $drawing->x($s->x) }} {{ $bar + 9 }})">
                <circle class="d-coin" r="8" /><text class="d-coin-sign" y="3.2">{{ $s->sign }}</text>
            </g>
        @elseif ($s instanceof Acre\Core\Drawing\Flag)
            <path class="d-flag" transform="translate({{ $drawing->x($s->x) }} {{ $bar - 14 }})" d="M0 0V14M0 0h10l-3 4 3 4h-10z" />
        @elseif ($s instanceof Acre\Core\Drawing\Arrow)
            <path class="d-move" transform="translate({{ $drawing->x($s->x) }} {{ $bar + 22 }})" d="M-2 0l5 4-5 4M-8 0l5 4-5 4" />
        @elseif ($s instanceof Acre\Core\Drawing\Tail)
            <line class="d-tail" x1="{{ $drawing->x($s->x) }}" x2="{{ $drawing->x($s->x + $s->width) }}" y1="{{ $bar + 9 }}"
                y2="{{ $bar + 9 }}" />
        @endif
    @endforeach
    @foreach ($drawing->links as $x)
        <line class="d-post-thin" x1="{{ round($x, 1) }}" x2="{{ round($x, 1) }}" y1="{{ $bar - 4 }}" y2="{{ $bar + 20 }}" />
    @endforeach
    <line class="d-today" x1="{{ round($drawing->today, 1) }}" x2="{{ round($drawing->today, 1) }}" y1="22"
        y2="{{ $drawing->height() - 14 }}" />
    @foreach ($drawing->above as $l)
        <text class="d-label{{ $l->label->style === 'plain' ? '' : '-' . $l->label->style }}" x="{{ round($l->left, 1) }}"
            y="{{ $drawing->aboveY($l) }}">{{ $l->label->text }}</text>
    @endforeach
    @foreach ($drawing->below as $l)
        <text class="d-label{{ $l->label->style === 'plain' ? '' : '-' . $l->label->style }}" x="{{ round($l->left, 1) }}"
            y="{{ $drawing->belowY($l) }}">{{ $l->label->text }}</text>
        @if ($l->label->reach > 0)
            @php($y = $drawing->belowY($l) - 4)
            <path class="d-bracket"
                d="M{{ round($l->label->x, 1) }} {{ $y - 4 }}v8M{{ round($l->label->x, 1) }} {{ $y }}h{{
                    round($l->label->reach, 1)
                }}m0 -4v8" />
        @endif
    @endforeach
</svg>
