{{-- $watched: how far a change of name servers has come to be seen --}}
<span class="watch"><span class="{{ $watched->parent === null ? 'is-move' : 'is-good' }}">{{ __('servers.watch.registry') }}:
        {{ $watched->parent === null
            ? __('servers.watch.parent_waits')
            : __('servers.watch.parent_at', ['at' => App\Support\Dates::exact($watched->parent)]) }}</span>
    <span class="{{ $watched->servers === null ? 'is-move' : 'is-good' }}">{{ __('servers.watch.servers') }}:
        {{ $watched->servers === null
            ? __('servers.watch.servers_wait')
            : __('servers.watch.servers_at', ['at' => App\Support\Dates::exact($watched->servers)]) }}</span>
    <span class="{{ $watched->ended === null ? 'is-move' : 'is-good' }}">{{ __('servers.watch.caches') }}:
        {{ match (true) {
            $watched->ended !== null => __('servers.watch.cached_over'),
            $watched->cachedUntil === null => __('servers.watch.not_started'),
            default => __('servers.watch.cached_until', ['at' => App\Support\Dates::exact($watched->cachedUntil)]),
        } }}</span></span>
