@php($what = $asked->whatIf)
@if ($today !== null)
    <p class="told told-whatif">
        @foreach ($read->sums() + $today->sums() as $currency => $sum)
            {{ App\View\AlmanacInWords::compared($read->sums()[$currency] ?? null, $today->sums()[$currency] ?? null) }}
        @endforeach
        {{ App\View\AlmanacInWords::shortNow($today) }}
        @if (collect($drawings)->contains(fn($drawing) => $drawing->pathToday !== null))
            <span class="lesser">{{ __('almanac.what_if.drawn') }}</span>
        @endif
        <a class="in-text" href="{{ route('almanac', $asked->asToday()->address()) }}">{{ __('almanac.what_if.forget') }}</a>
    </p>
@endif
<details class="apart" @if ($today !== null) open @endif>
    <summary>{{ __('almanac.what_if.heading') }}</summary>
    <form method="get" action="{{ route('almanac') }}" class="card fields">
        @foreach ($asked->asToday()->address() as $key => $value)
            <input type="hidden" name="{{ $key }}" value="{{ $value }}">
        @endforeach
        <div class="columns">
            <x-field name="rise" :label="__('almanac.what_if.rise')" :value="$what->risePercent" inputmode="decimal" maxlength="8"
                :note="__('almanac.what_if.rise_said')"/>
            <x-field name="rise-from" :label="__('almanac.what_if.from')" type="date" :value="$what->riseFrom?->date()"/>
            <x-field name="let-go" :label="__('almanac.what_if.let_go')" :value="$asked->address()['let-go'] ?? ''" maxlength="4000"
                :note="__('almanac.what_if.let_go_said')"/>
            <x-field name="years" type="choice" :label="__('almanac.what_if.years')" :value="(string) $what->years"
                :options="array_combine(range(1, 10), range(1, 10))"/>
            <x-field name="move-to" type="choice" :label="__('almanac.what_if.move_to')" :value="(string) $asked->moveTo"
                :options="['' => __('almanac.what_if.nowhere')] + $targets"/>
            <x-field name="moved" :label="__('almanac.what_if.moved')" :value="$asked->address()['moved'] ?? ''" maxlength="4000"
                :note="__('almanac.what_if.moved_said')"/>
        </div>
        <p><button>{{ __('almanac.what_if.show') }}</button></p>
    </form>
</details>
