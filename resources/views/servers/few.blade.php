{{-- $fault: names that have it, with a few of them; $to: the route that shows one of them --}}
<strong>{{ number_format($fault->names) }}</strong>
@foreach ($fault->few as $ascii => $unicode)
    <span class="reason mono"><a href="{{ route($to, $ascii) }}">{{ $unicode }}</a></span>
@endforeach
@if ($fault->names > count($fault->few))
    <span class="lesser">{{ __('servers.faults.more', ['count' => number_format($fault->names - count($fault->few))]) }}</span>
@endif
