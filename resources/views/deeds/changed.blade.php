{{-- $of: what a name has, by what it is called; hosts stand one below the other --}}
@if (isset($of['servers']))
    @foreach (explode(' ', $of['servers']) as $host)
        <span class="host">{{ $host }}</span>
    @endforeach
@else
    {{ implode(', ', $of) }}
@endif
