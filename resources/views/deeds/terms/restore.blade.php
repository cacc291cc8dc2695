<x-field name="reason" type="choice" :label="__('deeds.restore.why')" :value="$said['reason'] ?? 'forgotten'" :options="$choices"
    :note="__('deeds.restore.why_said')"/>
<p><button @class(['main' => $terms === null])>{{ $terms === null ? __('common.preview') : __('common.update_the_preview') }}</button></p>
