<x-layout :title="__('names.edit.edit', ['unicode' => $name->unicode])" area="Roll">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a> / <a
            href="{{ route('names.show', $name) }}">{{ $name->unicode }}</a></nav>
    <h1><x-sentence of="names.edit.heading"><x-slot:name><span class="name">{{ $name->unicode }}</span></x-slot></x-sentence></h1>
    <form method="post" action="{{ route('names.update', $name) }}" class="card fields">
        @csrf @method('put')
        <input type="hidden" name="version"
            value="{{ $errors->has('version') ? $registration->version : old('version', $registration->version) }}">
        <div class="columns">
            <x-field name="created_on" :label="__('names.edit.registered_on')" type="date" :value="$registration->created_on?->date()"
                :note="__('common.empty_not_known')"/>
            <x-field name="ends_on" :label="__('names.edit.ends_on')" type="date" :value="$registration->ends_on?->date()"
                :note="__('names.edit.the_end_of_the_paid_term')"/>
            <x-field name="moved_on" :label="__('names.edit.last_transferred_in_on')" type="date"
                :value="$registration->moved_on?->date()"/>
            <x-choice name="intent" :label="__('common.intent')" :value="$registration->intent->value" words="words.intent" />
            <x-choice name="lock" :label="__('names.edit.transfer_lock')" :value="$registration->lock->value" words="words.lock" />
            <x-field name="own_renewal" :label="__('names.edit.its_own_renewal_price')"
                :value="$registration->own_renewal === null ? '' : $registration->own_renewal . ' ' . $registration->own_currency"
                maxlength="40" :note="__('names.edit.for_example_120_00_gbp_empty')"/>
            <x-field name="registrant" :label="__('common.registrant')" :value="$name->registrant?->called" maxlength="255"
                :note="__('names.edit.the_legal_holder_an')"/>
            <x-field name="mailbox" :label="__('names.edit.registrants_mailbox')" :value="$name->registrant?->address" maxlength="320" />
            <x-choice name="disclosure" :label="__('names.edit.registrant_data_in_the_public')" :value="$registration->disclosure->value"
                words="words.disclosure"/>
            <x-field name="servers" type="area" :label="__('common.name_servers')" :value="implode(chr(10), $registration->servers)"
                rows="3" :note="__('names.edit.one_per_line_as_at_the')"/>
        </div>
        <x-field name="because" :label="__('names.history.why')" maxlength="500" :note="__('names.history.why_note')" />
        <p><button class="main">{{ __('common.save') }}</button> <a class="button"
                href="{{ route('names.show', $name) }}">{{ __('common.cancel') }}</a></p>
    </form>
</x-layout>
