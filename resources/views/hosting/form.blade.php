@php($title = $place->exists ? __('hosting.form.change', ['place' => $place->name]) : __('hosting.form.add'))
<x-layout :title="$title" area="Outside">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('places.index') }}">{{ __('hosting.places.title') }}</a></nav>
    <h1>{{ $title }}</h1>
    <form method="post" action="{{ $place->exists ? route('places.update', $place) : route('places.store') }}" class="card fields"
        data-once>
        @csrf
        @if ($place->exists)
            @method('put') <input type="hidden" name="version"
                value="{{ $errors->has('version') ? $place->version : old('version', $place->version) }}">
        @endif
        <div class="columns">
            <x-field name="name" :label="__('hosting.form.name')" :value="$place->name" maxlength="80" required />
            <x-choice name="kind" :label="__('hosting.form.kind')" :value="$place->kind->value" words="hosting.kind" />
            <x-field name="operator" :label="__('hosting.form.operator')" :value="$place->operator" maxlength="120"
                :note="__('hosting.form.operator_said')"/>
            <x-field name="plan" :label="__('hosting.form.plan')" :value="$place->plan" maxlength="120"
                :note="__('hosting.form.plan_said')"/>
        </div>
        <x-field name="addresses" type="area" rows="3" class="mono" :label="__('hosting.form.addresses')"
            :note="__('hosting.form.addresses_said')" :value="implode(chr(10), $place->addresses)" maxlength="2000"/>
        <x-field name="server_set_id" type="choice" :label="__('hosting.form.set')" :value="$place->server_set_id"
            :options="['' => __('hosting.form.no_set')] + $sets" :note="__('hosting.form.set_said')"/>
        <p><button class="main">{{ __('common.save') }}</button> <a class="button"
                href="{{ $place->exists ? route('places.show', $place) : route('places.index') }}">{{ __('common.cancel') }}</a></p>
    </form>
</x-layout>
