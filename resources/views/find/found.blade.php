@forelse ($found as $kind => $all)
    <h2>{{ __('find.kind.'.$kind) }}</h2>
    <ul class="found">
        @foreach ($all as $one)
            <li><a href="{{ $one->address }}"><span @class(['name' => $one->isName])>{{ $one->title }}</span> <span class="lesser">{{ $one->lesser }}</span></a></li>
        @endforeach
    </ul>
@empty
    @if ($text !== '')<p>Nothing answers to “{{ $text }}”, not even misspelt.</p>@endif
@endforelse
@if (isset($found['names']))<p><a href="{{ route('roll', ['q' => $text]) }}">Every name with “{{ $text }}” on the Roll</a></p>@endif
