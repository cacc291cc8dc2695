{{-- $watched: which servers say the changed records --}}
<span class="watch"><span class="{{ $watched->agreed === null ? 'is-move' : 'is-good' }}">{{ match (true) {
    $watched->agreed !== null => __('servers.records.all', ['at' => App\Support\Dates::exact($watched->agreed)]),
    $watched->asked === null => __('servers.records.not_asked'),
    default => __('servers.records.not_yet', ['hosts' => implode(', ', $watched->others)]),
} }}</span></span>
