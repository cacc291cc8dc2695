@if ($read->site->target !== null)
    <span class="mono target">{{ $read->site->target }}</span> <span class="lesser">{{ $told->leads($read->site) }}</span>
@else
    {{ __('hosting.found.pages') }}
@endif
@if ($withPlace && $read->site->place !== null)
    <span class="reason"><a href="{{ route('places.show', $read->site->place) }}">{{ $read->site->place->name }}</a></span>
@endif
