{{-- $sums: what the clear ones cost; $first, $likely, $last: when they arrive; $codes: names whose auth code a person must enter --}}
@if ($likely !== null)
    <p class="apart">
        @if ($sums !== [])
            <strong>{{ __('deeds.transfer.costs', ['sum' => implode(' + ', $sums)]) }}</strong>
        @endif
        {{ __('deeds.transfer.arrives', [
            'first' => App\Support\Dates::full($first),
            'likely' => App\Support\Dates::full($likely),
            'last' => App\Support\Dates::full($last),
        ]) }}</p>
@endif
@include('deeds.codes', ['wanting' => $codes])
