{{-- $sites: what is expected at hosts, and what was found; $withPlace: whether each says where it is kept; $caption: what they are --}}
<table class="sheet sites {{ $class ?? '' }}">
    @isset($caption)
        <caption>{{ $caption }}</caption>
    @endisset
    <thead>
        <tr>
            <th scope="col">{{ __('hosting.site.host') }}</th>
            <th scope="col">{{ __('hosting.site.wanted') }}</th>
            <th scope="col">{{ __('hosting.site.found') }}</th>
            <th scope="col">{{ __('hosting.site.amiss') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($sites as $read)
            <tr>
                <th scope="row"><a class="name"
                        href="{{ route('names.sites', $read->site->name) }}">{{ $told->host($read->site, $read->site->name) }}</a>
                    <span class="lesser mono">{{ $read->site->folder }}</span></th>
                <td data-label="{{ __('hosting.site.wanted') }}">@include('hosting.wanted', ['withPlace' => $withPlace])</td>
                <td data-label="{{ __('hosting.site.found') }}">@include('hosting.found')</td>
                <td data-label="{{ __('hosting.site.amiss') }}">@include('hosting.amiss')</td>
            </tr>
        @endforeach
    </tbody>
</table>
