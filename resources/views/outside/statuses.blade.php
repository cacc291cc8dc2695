{{-- What its statuses forbid, and who lifts them. --}}
<section class="card" aria-labelledby="forbids">
    <h2 id="forbids">{{ __('outside.record.what_its_statuses_mean') }}</h2>
    <dl class="facts facts-status">
        @forelse ($record->statuses as $status)
            <div>
                <dt class="mono">{{ $status->value }}</dt>
                <dd>{{ __('outside.status.' . $status->value)[0] }}@if (__('outside.status.' . $status->value)[1] !== '')
                        <span
                            class="lesser">{{ __(
                                'outside.record.who_can_lift_it',
                                ['value' => __('outside.status.' . $status->value)[1]],
                            ) }}</span>
                    @endif
                </dd>
            </div>
        @empty
            <div>
                <dt>{{ __('common.none') }}</dt>
                <dd>{{ __('outside.record.no_status_that_we_know') }}</dd>
            </div>
        @endforelse
        @foreach ($record->words as $word)
            <div>
                <dt class="mono"><bdi>{{ $word }}</bdi></dt>
                <dd>{{ __('outside.record.this_registrys_own_status') }}</dd>
            </div>
        @endforeach
    </dl>
</section>
