{{-- Whom the registry publishes as its registrant. --}}
<section class="card" aria-labelledby="holder">
    <h2 id="holder">{{ __('outside.record.registrant_as_published') }}</h2>
    <dl class="facts">
        @foreach (Acre\Core\Contact\Field::cases() as $field)
            @if ($record->field($field)->value !== null)
                <div>
                    <dt>{{ __('outside.holder.' . $field->value) }}</dt>
                    <dd><bdi>{{ $record->field($field)->value }}</bdi></dd>
                </div>
            @endif
        @endforeach
        @foreach ($record->redactedByReason() as $reason => $fields)
            <div>
                <dt><span class="redacted">{{ __('outside.record.redacted') }}</span></dt>
                <dd>{{ ucfirst(
                    strtolower(implode(', ', array_map(fn($f) => __('outside.holder.' . $f->value), $fields))),
                ) }}<span
                        class="lesser"><bdi>{{ $reason === '' ? __('outside.record.no_reason_given') : $reason }}</bdi></span>
                </dd>
            </div>
        @endforeach
        @if ($record->holder === [])
            <div>
                <dt>{{ __('outside.record.nothing') }}</dt>
                <dd>{{ __('outside.record.this_directory_publishes_no') }}</dd>
            </div>
        @endif
        <div>
            <dt>{{ __('outside.record.validated') }}</dt>
            <dd>{{ $record->validated === null
                ? __('outside.record.this_registry_does_not_say')
                : ($record->validated ? __('outside.record.yes_by_the_registry')
                    : __('outside.record.no_the_registry_could_not')) }}
            </dd>
        </div>
        @if ($record->reach !== null)
            <div>
                <dt>{{ __('outside.record.contact') }}</dt>
                <dd class="mono"><bdi>{{ $record->reach }}</bdi></dd>
            </div>
        @endif
        @if ($record->abuse !== null)
            <div>
                <dt>{{ __('outside.record.complaints') }}</dt>
                <dd class="mono"><bdi>{{ $record->abuse }}</bdi></dd>
            </div>
        @endif
    </dl>
</section>
