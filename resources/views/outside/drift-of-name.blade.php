{{-- Where it differs from our record. --}}
<section @class(['card', 'drift', 'is-alarm' => $page->isAlarming()]) aria-labelledby="otherwise">
    <h2 id="otherwise">
        {{ $page->differing()->isEmpty() ? __('outside.record.different_and_kept') : __('outside.record.different_from_the_roll') }}
    </h2>
    <dl class="facts facts-wide">
        @foreach ($drifts->sortBy(fn($drift) => $drift->state !== App\Models\DriftState::Open) as $drift)
            <div>
                <dt>{{ __('outside.field.' . $drift->field->value) }}</dt>
                <dd><bdi>{{ $words->stored($drift->said) }}.</bdi><span class="lesser">
                        @if ($drift->state === App\Models\DriftState::Left)
                            {{ __('outside.record.kept', ['because' => $drift->because]) }}
                            @else{{ __('outside.drift.cure.' . $drift->finding->value) }}
                        @endif
                        {{ __(
                            'outside.record.first_seen',
                            [
                                'value' => ucfirst(__('outside.certainty.' . $drift->certainty->value)),
                                'first_seen' => App\Support\Dates::exact($drift->first_seen),
                            ],
                        ) }}
                    </span></dd>
                <dd>
                    @can('prepare')
                        @foreach ($page->settling($drift, $domain->ascii) as $way => $address)
                            <a class="button"
                                href="{{ $address }}">{{ $words->sayOr(
                                    'outside.drift.way_of.' . $drift->finding->value . '.' . $way,
                                    $words->say('outside.drift.way.' . $way),
                                ) }}</a>
                        @endforeach
                        @endcan @if ($drift->docket_id !== null)
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
