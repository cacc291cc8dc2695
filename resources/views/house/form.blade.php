<x-layout :title="__('settings.title')">
    <x-settings current="house" />
    <h1>{{ __('settings.title') }}</h1>
    @if ($itself !== null)
        <p class="sentence"><x-sentence of="house.form.called"><x-slot:name><strong>{{ $itself->name }}</strong></x-slot></x-sentence>
            <a href="{{ route('clients.edit', $itself) }}">{{ __('house.form.rename') }}</a></p>
    @endif
    <form method="post" action="{{ route('house') }}" class="card fields">
        @csrf @method('put')
        <div class="columns">
            <x-field name="served" type="choice" :label="__('house.form.we_call_those_we_serve_our')" :value="$house->served()->value"
                :options="$served"/>
            <x-field name="currency" :label="__('house.form.currency')" :value="$house->currency()" maxlength="3"
                :note="__('house.form.three_letters_such_as_gbp_used')"/>
            <x-field name="dates" type="choice" :label="__('house.form.date_format')" :value="$house->dates()->value" :options="$dates" />
            <x-field name="zone" type="choice" :label="__('house.form.time_zone')" :value="$house->zone()->getName()" :options="$zones"
                :note="__('house.form.for_times_of_day_days_on_which')"/>
            <x-field name="pattern" type="choice" :label="__('house.form.disclosure_pattern_for_new')" :value="$house->pattern()"
                :options="$patterns" :note="__('house.form.unless_their_has_a_pattern_of')"/>
            <x-field name="silence" type="choice" :label="__('house.form.silence')"
                :value="$house->silence()->value" :options="__('house.form.silences')"/>
            <x-field name="four_eyes" :label="__('house.form.second_person_needed_above')" :value="$house->fourEyes()" inputmode="numeric"
                :note="__('house.form.number_of_names_above_it')"/>
        </div>
        <x-field name="letterhead" type="area" :label="__('house.form.letterhead')" :value="implode(chr(10), $house->letterhead())"
            rows="4" :note="__('house.form.printed_at_the_top_of_sheets')"/>
        <p><button class="main">{{ __('common.save') }}</button></p>
    </form>
</x-layout>
