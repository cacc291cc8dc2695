<x-layout :title="$place->name" area="Outside">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('places.index') }}">{{ __('hosting.places.title') }}</a> / {{ $place->name }}</nav>
    <div class="head">
        <div>
            <h1>{{ $place->name }}</h1>
            <p class="sentence">{{ ucfirst(__('hosting.kind.' . $place->kind->value)) }}
                · {{ $place->value()->runBy() }}{{ $place->plan === '' ? '' : ' · ' . $place->plan }}
                <span class="lesser">{{ $place->addresses === []
                    ? __('hosting.place.no_addresses')
                    : __('hosting.place.at', ['addresses' => implode(', ', $place->addresses)]) }}{{ $place->servers === null
                    ? '' : '; ' . __('hosting.place.servers', ['set' => $place->servers->name]) }}</span></p>
        </div>
        <form method="post" action="{{ route('places.ask', $place) }}" class="head-deeds">@csrf<button>{{
            __('hosting.site.ask')
        }}</button>
            @can('prepare')
                <a class="button" href="{{ route('places.edit', $place) }}">{{ __('common.change') }}</a>
            @endcan
        </form>
    </div>
    @if (is_array(session('refused')) && session('refused') !== [])
        <section class="told told-bad" role="alert">
            <p><strong>{{ __('hosting.place.not_taken') }}</strong></p>
            <ul>
                @foreach (session('refused') as $line)
                    <li><bdi>{{ $line }}</bdi></li>
                @endforeach
            </ul>
        </section>
    @endif
    @if ($count->hosts === 0)
        <p class="empty">{{ __('hosting.place.none') }}</p>
    @endif
    @if ($isAmiss)
        <p><a href="{{ route('places.show', $place) }}">{{ trans_choice(
            'hosting.place.see_all',
            $count->hosts,
            ['count' => number_format($count->hosts)],
        ) }}</a></p>
    @endif
    @if ($amiss !== [])
        @include('hosting.table', [
            'withPlace' => false,
            'sites' => $amiss,
            'caption' => trans_choice('hosting.place.amiss', $count->amiss, ['count' => number_format($count->amiss)]),
        ])
        @if ($count->amiss > count($amiss))
            <p><a href="{{ route('places.show', [$place, 'amiss' => 1]) }}">{{ __('hosting.place.all_amiss') }}</a></p>
        @endif
    @endif
    @if ($sites !== [])
        @include('hosting.table', [
            'withPlace' => false,
            'class' => $amiss === [] ? '' : 'apart',
            'caption' => $isAmiss
                ? trans_choice('hosting.place.amiss', $count->amiss, ['count' => number_format($count->amiss)])
                : trans_choice(
                    'hosting.place.fine',
                    $count->hosts - $count->amiss,
                    ['count' => number_format($count->hosts - $count->amiss)],
                ),
        ])
        {{ $page->links('components.pages') }}
    @endif
    @can('prepare')
        <form method="post" action="{{ route('places.add', $place) }}" class="card fields apart" data-once>
            @csrf
            <x-field name="hosts" type="area" rows="4" class="mono" :label="__('hosting.place.hosts')"
                :note="__('hosting.place.hosts_said')" maxlength="100000" required/>
            <p><button class="{{ $count->hosts === 0 ? 'main' : '' }}">{{ __('hosting.place.add') }}</button></p>
        </form>
    @endcan
</x-layout>
