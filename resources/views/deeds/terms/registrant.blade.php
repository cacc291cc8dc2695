{{-- Who is to be the registrant, what is agreed to, and who says yes; shared by the deeds that give names another one. --}}
<div class="field">
    <label for="f-contact">The new registrant</label>
    <input id="f-contact" name="contact" value="{{ $said['contact'] ?? $request->word('contact') }}" list="contacts" @required($required) autocomplete="off" maxlength="320">
    <datalist id="contacts">@foreach ($choices as $id => $called)<option value="{{ $id }}" label="{{ $called }}">@endforeach</datalist>
    <p class="note">A contact’s number, its mailbox, or how it is called; whoever is missing is written down under People first</p>
    @if ($said === [] && $request->word('contact') !== '' && ($request->word('authority') !== '' || in_array($request->word('agent'), ['', 'nobody'], true)))<p class="wrong" role="alert">No contact is called so, or more than one is: give its number, which stands on its page.</p>@endif
</div>
<x-field name="agreement" label="What was agreed to, and when" :value="$said['agreement'] ?? $request->word('agreement')" maxlength="1000" note="The registrar’s text by its name and day; kept with the docket. Where only data is corrected, nobody agrees to anything"/>
<div class="field">
    <label for="f-agent">For whom we say yes ourselves</label>
    <select id="f-agent" name="agent">@foreach (Acre\Core\Contact\DesignatedAgent::cases() as $agent)<option value="{{ $agent->value }}" @selected($agent->value === ($said['agent'] ?? $request->word('agent')))>{{ __('deeds.change_registrant.agent.'.$agent->value) }}</option>@endforeach</select>
    <p class="note">As their designated agent, where they have authorised us</p>
</div>
<x-field name="authority" label="On whose authority" :value="$said['authority'] ?? $request->word('authority')" maxlength="1000" :note="'Who said yes, and how, where no letter of ours is answered'"/>
@if ($said === [] && ! in_array($request->word('agent'), ['', 'nobody'], true) && $request->word('authority') === '')<p class="wrong" role="alert">Whoever says yes for another says on whose authority.</p>@endif
