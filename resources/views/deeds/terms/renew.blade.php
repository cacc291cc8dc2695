<x-field name="years" type="choice" :label="__('deeds.renew.for')" :value="(string) ($said['years'] ?? 1)"
    :options="$choices" :note="__('deeds.renew.years_said')"/>
<p><button @class(['main' => $terms === null])>{{ $terms === null ? __('common.preview') : __('common.update_the_preview') }}</button></p>
