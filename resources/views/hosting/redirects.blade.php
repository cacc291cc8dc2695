<x-layout :title="__('hosting.redirects.title')" area="Outside">
    @include('outside.ways')
    <div class="head">
        <div>
            <h1>{{ __('hosting.redirects.title') }}</h1>
            <p class="sentence">{{ __('hosting.redirects.said') }}</p>
        </div>
        @if ($sites !== [])
            <form method="post" action="{{ route('redirects.ask') }}" class="head-deeds">@csrf<input type="hidden" name="to"
                    value="{{ $target }}"><button>{{ __('hosting.site.ask') }}</button></form>
        @endif
    </div>
    @if ($sites === [])
        <p class="empty">{{ __('hosting.redirects.none') }}</p>
    @else
        @if ($target === '' && count($targets) > 1)
            <table class="sheet low">
                <thead>
                    <tr>
                        <th scope="col">{{ __('hosting.redirects.target') }}</th>
                        <th scope="col" class="sum">{{ __('hosting.places.hosts') }}</th>
                        <th scope="col" class="sum">{{ __('hosting.places.amiss') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($targets as $to => $count)
                        <tr>
                            <th scope="row" class="mono"><a class="name"
                                    href="{{ route('redirects.index', ['to' => $to]) }}">{{ $to }}</a></th>
                            <td class="sum" data-label="{{ __('hosting.places.hosts') }}">{{ number_format($count->hosts) }}</td>
                            <td class="sum" data-label="{{ __('hosting.places.amiss') }}"><span
                                    class="{{ $count->amiss === 0 ? 'lesser' : 'is-soon' }}">{{ $count->amiss === 0
                                        ? __('hosting.places.all_fine')
                                        : number_format($count->amiss) }}</span></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @elseif ($target !== '')
            <p><strong class="mono">{{ $target }}</strong> <a
                    href="{{ route('redirects.index') }}">{{ __('hosting.redirects.all') }}</a></p>
        @endif
        @include('hosting.table', ['withPlace' => true, 'class' => 'apart'])
        {{ $page->links('components.pages') }}
    @endif
</x-layout>
