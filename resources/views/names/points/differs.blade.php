{{-- What the new servers say otherwise, record set by record set. --}}
@php($comparison = $page->change->comparison())
@if ($comparison !== null)
    @include('names.points.compared', [
        'heads' => [__('servers.differs.now'), $page->set->name],
        'file' => $comparison->losses() === [] ? null : route('names.points.missing', [$name, $page->set]),
    ])
@else
    <section class="card" aria-labelledby="differs-h">
        <h2 id="differs-h">{{ __('servers.differs.title') }}</h2>
        @foreach ($page->change->findings() as $finding)
            <p class="{{ $finding->effect === Acre\Core\Finding\Effect::Worth ? '' : 'is-bad' }}">{{ $words->finding($finding) }}.</p>
        @endforeach
    </section>
@endif
