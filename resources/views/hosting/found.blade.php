@if ($read->seen === null)
    <span class="lesser">{{ __('hosting.site.not_asked') }}</span>
@else
    <bdi>{{ $told->found($read->seen) }}</bdi>
    @if ($read->seen->isAsked())
        <span class="reason mono">{{ implode(' ', $read->seen->addresses) }}</span>
    @endif
    @if ($told->certificate($read->seen) !== null)
        <span class="reason lesser"><bdi>{{ $told->certificate($read->seen) }}</bdi></span>
    @endif
    <span class="reason lesser">{{ __('hosting.site.asked', ['at' => App\Support\Dates::exact($read->seen->at)]) }}</span>
@endif
