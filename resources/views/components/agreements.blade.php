@props(['of'])
{{-- Agreements as links, one click away. --}}
@foreach ($of as $one)
    <a class="in-text" href="{{ $one['address'] }}" rel="noopener noreferrer"
        target="_blank"><bdi>{{ $one['name'] }}</bdi></a>{{ $loop->last ? '' : ', ' }}
@endforeach
