<x-field name="account" type="choice" :label="__('deeds.transfer.to_account')" :value="(string) ($said['account'] ?? '')"
    :options="['' => __('common.choose')] + $choices" required/>
<div class="field">
    <input type="hidden" name="renews" value="0">
    <label class="tick"><input type="checkbox" name="renews" value="1" @checked(($said['renews'] ?? '1') === '1')>
        {{ __('deeds.transfer.renews') }}</label>
</div>
<x-field name="authority" type="choice" :label="__('deeds.transfer.authority')" :value="(string) ($said['authority'] ?? 'contract')"
    :options="__('words.authority')" :note="__('deeds.transfer.authority_said')"/>
<p><button @class(['main' => $terms === null])>{{ $terms === null ? __('common.preview') : __('common.update_the_preview') }}</button></p>
