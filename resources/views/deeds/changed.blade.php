{{-- $of: what a name has, by what it is called; hosts stand one below the other, and so do an end and a price --}}
@if (isset($of['servers']))
    @foreach (explode(' ', $of['servers']) as $host)
        <span class="host">{{ $host }}</span>
    @endforeach
@elseif (isset($of['ends']) && (isset($of['account']) || isset($of['costs'])))
    {{ $of['account'] ?? '' }}
    @if ($of['ends'] !== '')
        <span class="reason">{{ __('deeds.transfer.ends_on', ['day' => $of['ends']]) }}</span>
    @endif
    @isset($of['costs'])
        <span class="reason">{{ __('movements.with_tax', ['sum' => $of['costs']]) }}</span>
    @endisset
@else
    {{ implode(', ', $of) }}
@endif
