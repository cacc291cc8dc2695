@php(
    $choices = match ($facet) {
        App\Queries\Roll\Facet::Phase,
        App\Queries\Roll\Facet::Intent,
        App\Queries\Roll\Facet::Lock,
        App\Queries\Roll\Facet::Disclosure => __('words.' . $facet->value),
        App\Queries\Roll\Facet::Held, App\Queries\Roll\Facet::AutoRenew => __('roll.choice.' . $facet->value),
        App\Queries\Roll\Facet::Finding => collect(__('roll.finding'))
            ->mapWithKeys(fn(string $said, string $key): array => [preg_replace('/_/', '.', $key, 1) => $said])->all(),
        App\Queries\Roll\Facet::Word => $labels,
        default => null
    }
)
@php($value = $filter->facet($facet))
@if ($facet === App\Queries\Roll\Facet::Created)
    @php($range = $value === null ? null : App\Queries\Roll\DayRange::read($value))
    <div class="field days-field">
        <label for="facet-created-from">{{ __('roll.created_from') }}</label>
        <input type="date" id="facet-created-from" name="created_from" value="{{ $range?->from?->date() }}"> <label
            for="facet-created-to">{{ __('roll.to') }}</label> <input type="date" id="facet-created-to" name="created_to"
            value="{{ $range?->to?->date() }}">
    </div>
@elseif ($choices === null)
    <div class="field"><label for="facet-{{ $facet->value }}">{{ __('roll.facet_label.' . $facet->value) }}</label><input
            id="facet-{{ $facet->value }}" name="{{ $facet->value }}" value="{{ $value }}" maxlength="300"></div>
@else
    @php($ticked = $value === null ? [] : $facet->values($value))
    <details class="field choices" @if ($ticked !== []) open @endif>
        <summary>{{ __('roll.facet_label.' . $facet->value) }}:
            <span>{{ $ticked === [] ? __('roll.any') : implode(
                __('roll.or'),
                array_map(fn(string $one): string => $choices[$one] ?? $one, $ticked),
            ) }}</span>
        </summary>
        <div class="choices-list" tabindex="0">
            @foreach ($choices as $one => $said)
                <label class="tick"><input type="checkbox" name="{{ $facet->value }}[]" value="{{ $one }}"
                        @checked(in_array((string) $one, $ticked, true))> {{ $said }}</label>
            @endforeach
        </div>
    </details>
@endif
