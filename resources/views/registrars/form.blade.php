<x-layout
    :title="$registrar->exists ? __('registrars.form.terms_of', ['registrar' => $registrar->name]) : __('registrars.form.add_a_registrar')"
    area="Outside">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('registrars.index') }}">{{ __('common.registrars') }}</a></nav>
    <h1>{{ $registrar->exists ? __('registrars.form.terms_of', ['registrar' => $registrar->name]) : __('registrars.form.add_a_registrar') }}
    </h1>
    @php($fixed = auth()->user()->cannot('settle'))
    <x-row-form :row="$registrar" route="registrars">
        @if ($fixed)
            <p class="note">{{ __('forms.fixed') }}</p>
        @endif
        <x-field name="name" :label="__('common.name')" :value="$registrar->exists ? $registrar->name : null" required maxlength="200" />
        <h2>{{ __('registrars.form.how_it_is_reached') }}</h2>
        <div class="columns wide">
            <x-field name="link" type="choice" :disabled="$fixed" :label="__('registrars.form.link')" :options="__('words.link')"
                :value="$registrar->link"/>
            <x-field name="page" type="url" :readonly="$fixed && $registrar->exists" :label="__('registrars.page')"
                :value="$registrar->page" maxlength="300"
                placeholder="https://" :note="__('registrars.page_note')" />
            <x-field name="telephone" type="tel" :label="__('registrars.telephone')" :value="$registrar->telephone" maxlength="60" />
            <x-field name="gate" :readonly="$fixed" :label="__('registrars.form.epp_host_or_bridge_if_by_wire')"
                :value="$registrar->gate" maxlength="300" placeholder="host:700"
                :note="__('registrars.form.host_and_port_over_tls_the')" />
            <x-field name="gate_key" :readonly="$fixed" :label="__('registrars.form.public_key_of_the_host')"
                :value="$registrar->gate_key" maxlength="44" :note="__('registrars.form.sha_256_of_the_public_key_in')"/>
            <x-field name="gate_a_minute" :label="__('registrars.form.commands_per_minute_at_most')" type="number" min="1"
                max="60000" :value="$registrar->gate_a_minute"
                :note="__('common.empty_not_known')" />
            <x-field name="behind" :label="__('registrars.form.names_in_public_records')" :value="implode(', ', $registrar->behind)"
                maxlength="1000" :note="__('registrars.form.accredited_registrars_their')"/>
        </div>
        <h2>{{ __('common.verification') }}</h2>
        <div class="columns wide">
            <x-field name="verifies_by" type="choice" :disabled="$fixed && $registrar->exists"
                :label="__('registrars.form.who_asks_registrants')"
                :options="['registrar' => __('registrars.form.the_registrar_with_its_own'), 'house' => __('registrars.form.we_do')]"
                :value="$registrar->verifies_by"/>
            <x-field name="verification_sender" :readonly="$fixed && $registrar->exists"
                :label="__('registrars.form.its_letters_come_from')" maxlength="300" :value="$registrar->verification_sender"
                :note="__('registrars.form.so_that_people_recognise_the')" />
        </div>
        <label class="tick"><input type="hidden" name="hold_declinable" value="0"><input type="checkbox" name="hold_declinable"
                value="1" @checked((bool) old('hold_declinable', $registrar->hold_declinable))> {{
                    __('registrars.form.the_hold_after_a_change_of')
                }}</label>
        <h2>{{ __('registrars.form.disclosure') }}</h2>
        <x-field name="disclosure_steps" type="area" :label="__('registrars.form.disclosure_levels_it_offers')" rows="3"
            maxlength="2000" :value="$registrar->disclosure_steps === null
            ? ''
            : implode(
                chr(10),
                array_map(fn(array $step): string => $step === [] ? 'nothing' : implode(', ', $step), $registrar->disclosure_steps),
            )"
            :note="__('registrars.form.one_per_line_each_listing_the')" />
        <h2>{{ __('registrars.form.handovers_between_its_accounts') }}</h2>
        <div class="columns wide">
            <x-choice name="receiver_by" :label="__('registrars.form.identifies_a_receiver_by')" :value="$registrar->receiver_by->value"
                words="words.receiver_by"/>
            <x-choice name="confirms" :label="__('registrars.form.a_handover_is_complete_when')" :value="$registrar->confirms->value"
                words="words.confirms"/>
            <x-field name="accepts_by" type="choice" :disabled="$fixed && $registrar->exists"
                :label="__('registrars.form.other_receivers_accept')" :options="__('words.accepts_by')" :value="$registrar->accepts_by"/>
            <x-field name="accept_days" :label="__('registrars.form.days_to_accept')" type="number" min="1" max="90"
                :value="$registrar->accept_days" required/>
            <x-field name="lot_size" :label="__('registrars.form.names_per_lot_at_most')" type="number" min="1" max="10000"
                :value="$registrar->lot_size" required/>
            <x-field name="handover_hold_days" :label="__('registrars.form.days_before_a_new_name_can_be')" type="number" min="0"
                max="365" :value="$registrar->handover_hold_days"
                required />
        </div>
        <fieldset>
            <legend class="label">{{ __('registrars.form.before_a_handover') }}</legend>
            @foreach (__('registrars.form.before') as $tick => $says)
                <label class="tick"><input type="hidden" name="{{ $tick }}" value="0"><input type="checkbox"
                        name="{{ $tick }}" value="1" @checked((bool) old($tick, $registrar->{$tick}))> {{ $says }}</label>
            @endforeach
        </fieldset>
        <fieldset>
            <legend class="label">{{ __('registrars.form.extra_services_after_a') }}</legend>
            <div class="columns">
                @foreach (Acre\Core\Movement\ExtraKind::cases() as $kind)
                    <div class="field"><label for="x-{{ $kind->value }}">{{ ucfirst(__('words.extra.' . $kind->value)) }}</label>
                        <select id="x-{{ $kind->value }}" name="extras[{{ $kind->value }}]">
                            <option value="">{{ __('common.not_known') }}</option>
                            @foreach (__('words.fate') as $fate => $word)
                                <option value="{{ $fate }}"
                                    @selected(old('extras.' . $kind->value, $registrar->extras[$kind->value] ?? '') === $fate)>
                                    {{ $word }}</option>
                            @endforeach
                        </select>
                    </div>
                @endforeach
            </div>
        </fieldset>
        <h2>{{ __('registrars.form.transfers_to_it') }}</h2>
        <x-field name="takes_keys" type="choice" :label="__('registrars.form.takes_keys')"
            :options="['' => __('common.not_known'), '1' => __('common.yes'), '0' => __('common.no')]"
            :value="$registrar->takes_keys === null ? '' : (string) (int) $registrar->takes_keys"/>
        @foreach (['own_servers_only', 'transfers_by_letter'] as $tick)
            <label class="tick"><input type="hidden" name="{{ $tick }}" value="0"><input type="checkbox" name="{{ $tick }}" value="1"
                    @checked((bool) old($tick, $registrar->{$tick}))> {{ __('registrars.form.' . $tick) }}</label>
        @endforeach
        <x-field name="agreements" type="area" rows="3" :label="__('registrars.form.agreements')"
            :note="__('registrars.form.agreements_note')"
            :value="implode(PHP_EOL, array_map(fn(array $one): string => $one['name'] . ' ' . $one['address'], $registrar->agreements))"/>
        <h2>{{ __('registrars.form.around_the_end_of_a_term') }}</h2>
        <div class="columns">
            <x-field name="charge_lead_days" :label="__('registrars.form.renewal_charged_days_before')" type="number" min="0" max="90"
                :value="$registrar->charge_lead_days" required/>
            <x-choice name="charge_order" :label="__('money.order')" :value="$registrar->charge_order->value" words="money.orders"/>
            <x-field name="charge_retries" :label="__('money.retries')" :value="implode(', ', $registrar->charge_retries)" maxlength="60"
                :note="__('money.retries_said')"/>
            <x-field name="dark_after_days" :label="__('registrars.form.suspended_days_after_the_end')" type="number" min="0"
                max="90" :value="$registrar->dark_after_days"
                :note="__('common.empty_not_known')" />
            <x-field name="plain_after_days" :label="__('registrars.form.normal_price_until_days_after')" type="number" min="0"
                max="90" :value="$registrar->plain_after_days"
                :note="__('common.empty_not_known')" />
            <x-field name="late_until_days" :label="__('registrars.form.renewable_until_days_after_the')" type="number" min="0"
                max="90" :value="$registrar->late_until_days"
                :note="__('common.empty_not_known')" />
        </div>
        <x-field name="remarks" :label="__('common.notes')" type="area" :value="$registrar->remarks" maxlength="4000" />
    </x-row-form>
</x-layout>
