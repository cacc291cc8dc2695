{{-- $read: a host that a docket is having redirected --}}
@inject('told', App\View\SiteInWords::class)
<span class="watch"><span class="mono">{{ $told->host($read->site, $read->site->name) }}</span> <span
        class="{{ $read->site->agreed_at === null ? 'is-move' : 'is-good' }}">{{ match (true) {
    $read->site->agreed_at !== null => __('hosting.watch.all', [
        'at' => App\Support\Dates::exact(Acre\Core\Time\Instant::from($read->site->agreed_at)),
    ]),
    $read->seen === null => __('hosting.watch.not_asked'),
    !$read->seen->isAsked() => $told->found($read->seen),
    default => __('hosting.watch.not_yet', ['found' => lcfirst($told->found($read->seen))]),
} }}</span></span>
