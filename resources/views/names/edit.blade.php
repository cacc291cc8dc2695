<x-layout :title="'What is known of '.$name->unicode" area="Roll">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('roll') }}">The Roll</a> / <a href="{{ route('names.show', $name) }}">{{ $name->unicode }}</a></nav>
    <h1>What is known of <span class="name">{{ $name->unicode }}</span></h1>
    <form method="post" action="{{ route('names.update', $name) }}" class="card fields">
        @csrf @method('put')
        <input type="hidden" name="version" value="{{ $errors->has('version') ? $registration->version : old('version', $registration->version) }}">
        <div class="columns">
            <x-field name="created_on" label="Registered on" type="date" :value="$registration->created_on?->date()" note="Empty: not known"/>
            <x-field name="ends_on" label="Ends on" type="date" :value="$registration->ends_on?->date()" note="The end of the paid term"/>
            <x-field name="moved_on" label="Last came from another registrar on" type="date" :value="$registration->moved_on?->date()"/>
            <x-choice name="intent" label="What is to happen at its end" :value="$registration->intent->value" words="words.intent"/>
            <x-choice name="lock" label="Transfer lock" :value="$registration->lock->value" words="words.lock"/>
            <x-field name="own_renewal" label="What renewing it costs, where that is its own" :value="$registration->own_renewal === null ? '' : $registration->own_renewal.' '.$registration->own_currency" maxlength="40" note="Such as 120.00 GBP. Empty: the registrar’s price for its suffix"/>
            <x-field name="registrant" label="Registrant" :value="$name->registrant?->called" maxlength="255" note="The legal holder: an organisation, or a person"/>
            <x-field name="mailbox" label="Registrant’s mailbox" :value="$name->registrant?->address" maxlength="320"/>
            <x-choice name="disclosure" label="What the public record shows of the registrant" :value="$registration->disclosure->value" words="words.disclosure"/>
            <x-field name="servers" type="area" label="Name servers" :value="implode(chr(10), $registration->servers)" rows="3" note="One a line, as the registry has them"/>
        </div>
        <x-field name="because" :label="__('names.history.why')" maxlength="500" :note="__('names.history.why_note')"/>
        <p><button class="main">Save</button> <a class="button" href="{{ route('names.show', $name) }}">Leave it</a></p>
    </form>
</x-layout>
