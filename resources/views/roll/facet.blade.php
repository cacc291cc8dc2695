@php($choices = match ($facet) {
    App\Queries\Roll\Facet::Phase, App\Queries\Roll\Facet::Intent, App\Queries\Roll\Facet::Lock, App\Queries\Roll\Facet::Disclosure => __('words.'.$facet->value),
    App\Queries\Roll\Facet::Finding => collect(__('roll.finding'))->mapWithKeys(fn (string $said, string $key): array => [preg_replace('/_/', '.', $key, 1) => $said])->all(),
    App\Queries\Roll\Facet::Word => $labels,
    default => null,
})
<div class="field">
    <label for="facet-{{ $facet->value }}">{{ __('roll.facet_label.'.$facet->value) }}</label>
    @if ($choices === null)
        <input id="facet-{{ $facet->value }}" name="{{ $facet->value }}" value="{{ $filter->facet($facet) }}" maxlength="300">
    @else
        <select id="facet-{{ $facet->value }}" name="{{ $facet->value }}">
            <option value="">any</option>
            @foreach ($choices as $value => $said)<option value="{{ $value }}" @selected($filter->facet($facet) === (string) $value)>{{ $said }}</option>@endforeach
        </select>
    @endif
</div>
