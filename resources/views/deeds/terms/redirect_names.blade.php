@php($typed = $said['target'] ?? $request->word('target'))
<div class="field">
    <x-field name="target" class="mono" :label="__('deeds.redirect_names.target_typed')" :note="__('deeds.redirect_names.target_said')"
        :value="$typed" maxlength="2000" placeholder="https://" required/>
    @if ($terms === null && $typed !== '')
        <p class="wrong" role="alert">{{ __('deeds.redirect_names.wrong') }}</p>
    @endif
</div>
<x-field name="for" type="choice" :label="__('deeds.redirect_names.for')" :value="$said['for'] ?? 'permanent'"
    :options="['permanent' => __('deeds.redirect_names.permanent'), 'temporary' => __('deeds.redirect_names.temporary')]"
    :note="__('deeds.redirect_names.permanent_said')"/>
<x-field name="place" type="choice" :label="__('deeds.redirect_names.place')" :value="$said['place'] ?? ''"
    :options="['' => __('deeds.redirect_names.no_place')] + $choices"/>
<div class="field">
    <input type="hidden" name="www" value="0"><input type="hidden" name="path" value="0">
    <label class="tick"><input type="checkbox" name="www" value="1" @checked(($said['www'] ?? '1') === '1')>
        {{ __('deeds.redirect_names.www_typed') }}</label>
    <label class="tick"><input type="checkbox" name="path" value="1" @checked(($said['path'] ?? '1') === '1')>
        {{ __('deeds.redirect_names.path_typed') }}</label>
</div>
