{{-- What the new servers say otherwise, record set by record set. --}}
@php($comparison = $page->change->comparison())
<section class="card" aria-labelledby="differs-h">
    <h2 id="differs-h">{{ __('servers.differs.title') }}
        @if ($comparison !== null)
            <span class="lesser">{{ trans_choice('servers.differs.same', $comparison->same, ['count' => $comparison->same]) }}</span>
        @endif
    </h2>
    @if ($comparison === null)
        @foreach ($page->change->findings() as $finding)
            <p class="{{ $finding->effect === Acre\Core\Finding\Effect::Worth ? '' : 'is-bad' }}">{{ $words->finding($finding) }}.</p>
        @endforeach
    @elseif ($comparison->differences === [])
        <p class="is-good">{{ __('servers.differs.none') }}</p>
    @else
        <table class="sheet low">
            <thead>
                <tr>
                    <th scope="col">{{ __('servers.differs.record') }}</th>
                    <th scope="col">{{ __('servers.differs.now') }}</th>
                    <th scope="col">{{ $page->set->name }}</th>
                    <th scope="col">{{ __('servers.differs.if_left') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($comparison->differences as $one)
                    <tr>
                        <th scope="row" class="mono">{{ $one->label() }}</th>
                        <td class="mono" data-label="{{ __('servers.differs.now') }}">{{ $one->before === null
                            ? __('servers.differs.missing')
                            : $told->data($one->before) }}</td>
                        <td class="mono {{ $told->isBad($one) ? 'is-bad' : '' }}"
                            data-label="{{ $page->set->name }}">{{ $one->after === null
                                ? __('servers.differs.missing')
                                : $told->data($one->after) }}</td>
                        <td class="{{ $told->isBad($one) ? 'is-bad' : '' }}" data-label="{{ __('servers.differs.if_left') }}">{{
                            $told->leftSo($one)
                        }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</section>
