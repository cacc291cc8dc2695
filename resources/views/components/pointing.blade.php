@props(['drawing', 'parent', 'ttl', 'suffix', 'id'])
@inject('told', App\View\PointsInWords::class)
@php([$box, $mid] = [Acre\Core\Drawing\Pointing::BOX, intdiv(Acre\Core\Drawing\Pointing::BOX, 2)])
@php($from = $drawing->parentY + $mid)
<svg viewBox="0 0 1206 {{ $drawing->height }}" role="img" aria-labelledby="{{ $id }}-t {{ $id }}-d">
    <title id="{{ $id }}-t">{{ __('servers.points.drawing') }}</title>
    <desc id="{{ $id }}-d">{{ __('servers.points.same_as_table') }}</desc>
    <text class="p-head" x="10" y="16">{{ __('servers.points.registry_sends') }}</text>
    <text class="p-head" x="430" y="16">{{ __('servers.points.the_servers') }}</text>
    <text class="p-head" x="860" y="16">{{ __('servers.points.say_these') }}</text>
    @foreach ($drawing->servers as $one)
        @php($to = $one->y + $mid)
        <path class="p-line p-{{ $one->state->value }} {{ $one->isListed ? '' : 'p-unlisted' }}"
            d="M274 {{ $from }}C350 {{ $from }} 350 {{ $to }} 430 {{ $to }}" />
        @unless ($one->isListed)
            <text class="p-note" x="260" y="{{ $to + 18 }}">{{ __('servers.points.not_listed') }}</text>
        @endunless
        <rect class="p-box p-{{ $one->state->value }}" x="430" y="{{ $one->y }}" width="330" height="{{ $box }}" />
        <text class="p-host" x="442" y="{{ $one->y + 21 }}">{{ $told->short($one->server->host) }}</text>
        <text class="p-said p-{{ $one->state->value }}" x="442" y="{{ $one->y + 40 }}">{{ $told->server($one) }}</text>
        @php($child = $told->child($one))
        @if ($child !== null)
            <path class="p-line p-{{ $one->state->value }}" d="M760 {{ $to }}H860" />
            <rect class="p-box {{ $one->state->value === 'fine' ? 'p-fine' : 'p-plain-' . $one->state->value }}" x="860"
                y="{{ $one->y }}" width="336" height="{{ $box }}" />
            <text class="p-host" x="872" y="{{ $one->y + 21 }}">{{ $child[0] }}</text>
            <text class="p-said p-{{ $one->state->value }}" x="872" y="{{ $one->y + 40 }}">{{ $child[1] }}</text>
        @endif
    @endforeach
    <rect class="p-box p-fine" x="10" y="{{ $drawing->parentY }}" width="264" height="{{ $box }}" />
    <text class="p-host" x="22" y="{{ $drawing->parentY + 21 }}">{{ __('servers.points.registry', ['suffix' => $suffix]) }}</text>
    <text class="p-said" x="22"
        y="{{ $drawing->parentY + 40 }}">{{ trans_choice('servers.points.lists', count($parent), ['count' => count($parent)]) }}{{
            $ttl === null ? '' : ' · ' . __('servers.points.kept_for', ['span' => $told->span($ttl)])
        }}</text>
</svg>
