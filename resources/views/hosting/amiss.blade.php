@forelse ($read->findings as $finding)
    <span class="reason {{ $told->isBad($finding) ? 'is-bad' : 'is-soon' }}"><bdi>{{ $words->finding($finding) }}.</bdi></span>
@empty
    @if ($read->seen?->isAsked() === true)
        <span class="is-good">{{ $read->site->agreed_at === null
            ? __('hosting.site.as_it_should')
            : __('hosting.site.as_it_should_since', [
                'since' => App\Support\Dates::full(Acre\Core\Time\Instant::from($read->site->agreed_at)),
            ]) }}</span>
    @endif
@endforelse
@foreach ($told->cures($read) as $cure)
    <span class="reason">
        @if ($cure->address !== null && Gate::check('prepare'))
            <a href="{{ $cure->address }}">{{ $cure->said }}</a>
        @else
            {{ $cure->said }}
        @endif
    </span>
@endforeach
