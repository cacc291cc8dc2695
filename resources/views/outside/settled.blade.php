{{-- Differences that were settled. --}}
@if ($settled->isNotEmpty())
    <section class="card apart" aria-labelledby="settled">
        <h2 id="settled">{{ __('outside.record.settled_earlier') }}</h2>
        <dl class="facts facts-wide">
            @foreach ($settled as $drift)
                <div>
                    <dt>{{ App\Support\Dates::exact($drift->settled_at) }}</dt>
                    <dd><bdi>{{ $words->stored($drift->said) }}.</bdi><span
                            class="lesser">{{ $drift->state === App\Models\DriftState::Taken
                                ? __('outside.record.roll_updated')
                                : __('outside.record.no_longer_different') }}</span>
                    </dd>
                    <dd>
                        @if ($drift->docket_id !== null)
                            <a
                                href="{{ route('dockets.show', $drift->docket_id) }}">{{ __(
                                    'outside.record.docket',
                                    ['docket_id' => $drift->docket_id],
                                ) }}</a>
                        @endif
                    </dd>
                </div>
            @endforeach
        </dl>
    </section>
@endif
