{{-- $open: names still to be asked about; $last: when the last answer came --}}
@if ($open > 0)
    <p class="is-move" data-waiting="{{ route('servers.asked', [...$request->which(), ...$said]) }}" aria-live="polite">{{
        trans_choice('servers.asking', $open, ['count' => number_format($open)])
    }}</p>
    <noscript>
        <meta http-equiv="refresh" content="3">
    </noscript>
@else
    <p class="lesser">{{ $last === null
        ? __('servers.not_asked')
        : __('servers.asked_on', ['at' => App\Support\Dates::exact($last)]) }}</p>
@endif
