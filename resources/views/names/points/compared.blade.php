{{-- $comparison: of two zones; $heads: what each of them is called --}}
<section class="card {{ ($apart ?? false) ? 'apart' : '' }}" aria-labelledby="differs-h">
    <h2 id="differs-h">{{ __('servers.differs.title') }} <span
            class="lesser">{{ trans_choice('servers.differs.same', $comparison->same, ['count' => $comparison->same]) }}</span></h2>
    @if ($comparison->differences === [])
        <p class="is-good">{{ __('servers.differs.none') }}</p>
    @else
        <table class="sheet low compared">
            <thead>
                <tr>
                    <th scope="col">{{ __('servers.differs.record') }}</th>
                    @foreach ($heads as $head)
                        <th scope="col">{{ $head }}</th>
                    @endforeach
                    <th scope="col">{{ __('servers.differs.if_left') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($comparison->differences as $one)
                    <tr>
                        <th scope="row" class="mono">{{ $one->label() }}</th>
                        <td class="mono" data-label="{{ $heads[0] }}">{{ $one->before === null
                            ? __('servers.differs.missing')
                            : $told->data($one->before) }}</td>
                        <td class="mono {{ $told->isBad($one) ? 'is-bad' : '' }}"
                            data-label="{{ $heads[1] }}">{{ $one->after === null
                                ? __('servers.differs.missing')
                                : $told->data($one->after) }}</td>
                        <td class="{{ $told->isBad($one) ? 'is-bad' : '' }}" data-label="{{ __('servers.differs.if_left') }}">{{
                            $told->leftSo($one)
                        }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if (($file ?? null) !== null)
            <p><a class="button" href="{{ $file }}">{{ __('servers.differs.file') }}</a></p>
        @endif
    @endif
</section>
