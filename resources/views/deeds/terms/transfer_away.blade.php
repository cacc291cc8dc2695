@php($typed = fn(string $key): string => is_string($said[$key] ?? null) ? $said[$key] : $request->word($key))
<x-field name="to" :label="__('deeds.transfer_away.to')" :note="__('deeds.transfer_away.to_said')" :value="$typed('to')" maxlength="200"
    required/>
<div class="field">
    <x-field name="mailbox" type="email" :label="__('deeds.transfer_away.mailbox')" :note="__('deeds.transfer_away.mailbox_said')"
        :value="$typed('mailbox')" maxlength="320"/>
    @if ($terms === null && $typed('mailbox') !== '' && Acre\Core\Contact\Mailbox::tryOf($typed('mailbox')) === null)
        <p class="wrong" role="alert">{{ __('deeds.transfer_away.no_mailbox') }}</p>
    @endif
</div>
<x-field name="tag" class="mono" :label="__('deeds.transfer_away.tag')" :note="__('deeds.transfer_away.tag_said')" :value="$typed('tag')"
    maxlength="16"/>
