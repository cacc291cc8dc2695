<x-layout :title="$registrar->exists ? 'Terms of '.$registrar->name : 'Write down a registrar'" area="Outside">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('registrars.index') }}">Registrars</a></nav>
    <h1>{{ $registrar->exists ? 'Terms of '.$registrar->name : 'Write down a registrar' }}</h1>
    @php($fixed = auth()->user()->cannot('settle'))
    <x-row-form :row="$registrar" route="registrars">
        @if ($fixed)<p class="note">{{ __('forms.fixed') }}</p>@endif
        <x-field name="name" label="Name" :value="$registrar->exists ? $registrar->name : null" required maxlength="200"/>
        <h2>How it is reached</h2>
        <div class="columns wide">
            <x-field name="link" type="choice" :disabled="$fixed" label="What is done there is done" :options="__('words.link')" :value="$registrar->link"/>
            <x-field name="page" type="url" :readonly="$fixed && $registrar->exists" :label="__('registrars.page')" :value="$registrar->page" maxlength="300" placeholder="https://" :note="__('registrars.page_note')"/>
            <x-field name="telephone" type="tel" :label="__('registrars.telephone')" :value="$registrar->telephone" maxlength="60"/>
            <x-field name="gate" :readonly="$fixed" label="Its gate, if by wire or bridge" :value="$registrar->gate" maxlength="300" placeholder="host:700" note="Host and port, over TLS; the host must stand in the settings too"/>
            <x-field name="gate_key" :readonly="$fixed" label="The key that it shows" :value="$registrar->gate_key" maxlength="44" note="SHA-256 of its public key in base64, where the registrar says one. Empty: whatever its certificate proves"/>
            <x-field name="gate_a_minute" label="Commands a minute there, at most" type="number" min="1" max="60000" :value="$registrar->gate_a_minute" note="Empty: it has not said"/>
            <x-field name="behind" label="Who stands behind it in public records" :value="implode(', ', $registrar->behind)" maxlength="1000" note="Accredited registrars, their numbers and tags, with commas between"/>
        </div>
        <h2>Whether registrants’ mailboxes are theirs</h2>
        <div class="columns wide">
            <x-field name="verifies_by" type="choice" :disabled="$fixed && $registrar->exists" label="Who asks them" :options="['registrar' => 'the registrar, with letters of its own', 'house' => 'we do']" :value="$registrar->verifies_by"/>
            <x-field name="verification_sender" :readonly="$fixed && $registrar->exists" label="Its letters come from" maxlength="300" :value="$registrar->verification_sender" note="So that people know the one that settles it"/>
        </div>
        <label class="tick"><input type="hidden" name="hold_declinable" value="0"><input type="checkbox" name="hold_declinable" value="1" @checked((bool) old('hold_declinable', $registrar->hold_declinable))> the hold after a change of registrant can be declined beforehand</label>
        <h2>What it can show and withhold</h2>
        <x-field name="disclosure_steps" type="area" label="The steps of disclosure that it sells" rows="3" maxlength="2000" :value="$registrar->disclosure_steps === null ? '' : implode(chr(10), array_map(fn (array $step): string => $step === [] ? 'nothing' : implode(', ', $step), $registrar->disclosure_steps))" note="One a line, each the fields that it shows: nothing, or some of name, organisation, street, town, region, postcode, country, voice, mailbox. Empty: it takes them field by field"/>
        <h2>Handovers between its accounts</h2>
        <div class="columns wide">
            <x-choice name="receiver_by" label="A receiver is named by" :value="$registrar->receiver_by->value" words="words.receiver_by"/>
            <x-choice name="confirms" label="It is settled when" :value="$registrar->confirms->value" words="words.confirms"/>
            <x-field name="accepts_by" type="choice" :disabled="$fixed && $registrar->exists" label="A receiver that is not ours accepts" :options="__('words.accepts_by')" :value="$registrar->accepts_by"/>
            <x-field name="accept_days" label="Days to accept" type="number" min="1" max="90" :value="$registrar->accept_days" required/>
            <x-field name="lot_size" label="Names in a lot, at most" type="number" min="1" max="10000" :value="$registrar->lot_size" required/>
            <x-field name="handover_hold_days" label="Days before a new name is handed over" type="number" min="0" max="365" :value="$registrar->handover_hold_days" required/>
        </div>
        <fieldset>
            <legend class="label">Before a handover</legend>
            @foreach (['names_giver' => 'the giving account is named in the same way', 'lock_first' => 'the lock must be lifted', 'unlock_account_first' => 'the giving account itself must be unlocked'] as $tick => $says)
                <label class="tick"><input type="hidden" name="{{ $tick }}" value="0"><input type="checkbox" name="{{ $tick }}" value="1" @checked((bool) old($tick, $registrar->{$tick}))> {{ $says }}</label>
            @endforeach
        </fieldset>
        <fieldset>
            <legend class="label">What becomes of what was bought with a name</legend>
            <div class="columns">
                @foreach (Acre\Core\Movement\ExtraKind::cases() as $kind)
                    <div class="field"><label for="x-{{ $kind->value }}">{{ ucfirst(__('words.extra.'.$kind->value)) }}</label>
                        <select id="x-{{ $kind->value }}" name="extras[{{ $kind->value }}]"><option value="">not known</option>@foreach (__('words.fate') as $fate => $word)<option value="{{ $fate }}" @selected(old('extras.'.$kind->value, $registrar->extras[$kind->value] ?? '') === $fate)>{{ $word }}</option>@endforeach</select></div>
                @endforeach
            </div>
        </fieldset>
        <h2>Around a name’s end</h2>
        <div class="columns">
            <x-field name="charge_lead_days" label="Renewal charged, days before" type="number" min="0" max="90" :value="$registrar->charge_lead_days" required/>
            <x-field name="dark_after_days" label="Stops answering, days after" type="number" min="0" max="90" :value="$registrar->dark_after_days" note="Empty: not known"/>
            <x-field name="plain_after_days" label="Plain price, days after" type="number" min="0" max="90" :value="$registrar->plain_after_days" note="Empty: not known"/>
            <x-field name="late_until_days" label="Renewable at all, days after" type="number" min="0" max="90" :value="$registrar->late_until_days" note="Empty: not known"/>
        </div>
        <x-field name="remarks" label="Remarks" type="area" :value="$registrar->remarks" maxlength="4000"/>
    </x-row-form>
</x-layout>
