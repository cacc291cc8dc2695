{{-- $sums: what the clear ones cost; $agreements: what is accepted with the order;
    $first, $likely, $last: when they arrive; $codes: names whose auth code a person must enter;
    $cases: on how many transfers that were seen the days rest --}}
@if ($likely !== null)
    <p class="apart after-card">
        @if ($sums !== [])
            <strong>{{ __('deeds.transfer.costs', ['sum' => implode(' + ', $sums)]) }}</strong>
        @endif
        {{ __('deeds.transfer.arrives', [
            'first' => App\Support\Dates::full($first),
            'likely' => App\Support\Dates::full($likely),
            'last' => App\Support\Dates::full($last),
        ]) }}
        @if ($cases > 0)
            <span class="lesser">{{ trans_choice('deeds.transfer.cases', $cases, ['count' => number_format($cases)]) }}</span>
        @endif
    </p>
@endif
@if ($likely !== null && $agreements !== [])
    <p class="apart">{{ __('deeds.transfer.accepts') }} <x-agreements :of="$agreements"/></p>
@endif
@include('deeds.codes', ['wanting' => $codes])
