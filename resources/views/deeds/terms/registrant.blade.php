{{-- Who is to be the registrant, what is agreed to, and who says yes; shared by the deeds that give names another one. --}}
<div class="field">
    <label for="f-contact">{{ __('deeds.terms.registrant.the_new_registrant') }}</label>
    <input id="f-contact" name="contact" value="{{ $said['contact'] ?? $request->word('contact') }}" list="contacts" @required($required)
        autocomplete="off" maxlength="320">
    <datalist id="contacts">
        @foreach ($choices as $id => $called)
            <option value="{{ $id }}" label="{{ $called }}">
        @endforeach
    </datalist>
    <p class="note">{{ __('deeds.terms.registrant.the_number_the_mailbox_or_the') }}</p>
    @if (
        $said === [] &&
            $request->word('contact') !== '' &&
            ($request->word('authority') !== '' || in_array($request->word('agent'), ['', 'nobody'], true)))
        <p class="wrong" role="alert">{{ __('deeds.terms.registrant.no_contact_or_more_than_one') }}</p>
    @endif
</div>
<x-field name="agreement" :label="__('deeds.terms.registrant.what_was_agreed_to_and_when')"
    :value="$said['agreement'] ?? $request->word('agreement')" maxlength="1000"
    :note="__('deeds.terms.registrant.the_name_and_date_of_the')"/>
<div class="field">
    <label for="f-agent">{{ __('deeds.terms.registrant.we_confirm_on_behalf_of') }}</label>
    <select id="f-agent" name="agent">
        @foreach (Acre\Core\Registrant\DesignatedAgent::cases() as $agent)
            <option value="{{ $agent->value }}" @selected($agent->value === ($said['agent'] ?? $request->word('agent')))>
                {{ __('deeds.change_registrant.agent.' . $agent->value) }}
            </option>
        @endforeach
    </select>
    <p class="note">{{ __('deeds.terms.registrant.as_designated_agent_if_they') }}</p>
</div>
<x-field name="authority" :label="__('deeds.terms.registrant.authority')" :value="$said['authority'] ?? $request->word('authority')"
    maxlength="1000" :note="__('deeds.terms.registrant.who_agreed_and_how_if_they_do')"/>
@if ($said === [] && !in_array($request->word('agent'), ['', 'nobody'], true) && $request->word('authority') === '')
    <p class="wrong" role="alert">{{ __('deeds.terms.registrant.enter_the_authority_on_which') }}</p>
@endif
