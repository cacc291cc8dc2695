@forelse ($found as $kind => $all)
    <h2>{{ __('find.kind.' . $kind) }}</h2>
    <ul class="found">
        @foreach ($all as $one)
            <li><a href="{{ $one->address }}"><span @class(['name' => $one->isName])>{{ $one->title }}</span> <span
                        class="lesser">{{ $one->lesser }}</span></a></li>
        @endforeach
    </ul>
@empty
    @if ($text !== '')
        <p>{{ __('find.found.nothing_matches_nor_anything', ['text' => $text]) }}</p>
    @endif
@endforelse
@if (isset($found['names']))
    <p><a href="{{ route('roll', ['q' => $text]) }}">{{ __('find.found.all_names_with_on_the_roll', ['text' => $text]) }}</a></p>
@endif
