@props(['axis', 'today'])
<svg aria-hidden="true">
    <defs>
        <pattern id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line class="d-late-hatch" x1="0" y1="0" x2="0" y2="6" />
        </pattern>
    </defs>
    @foreach ($axis->months() as $tick)
        <line class="d-grid-strong" x1="{{ $tick->x }}%" x2="{{ $tick->x }}%"
            y1="{{ $tick->strong ? 24 : ($tick->label === '' ? 32 : 28) }}" y2="38" />
        @if ($tick->label !== '' && abs($tick->x - $axis->at($today)) > 0.8)
            <text class="{{ $tick->strong ? 'd-label-strong' : 'd-label' }}" x="{{ $tick->x }}%" y="14">{{ $tick->label }}</text>
        @endif
    @endforeach
    <line class="d-today" x1="{{ $axis->at($today) }}%" x2="{{ $axis->at($today) }}%" y1="30" y2="41" /><text
        class="d-label-today" x="{{ $axis->at($today) }}%" y="27" text-anchor="middle">{{ __('components.axis.today') }}</text>
</svg>
