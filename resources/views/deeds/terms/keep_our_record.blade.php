<x-field name="what" type="choice" :label="__('deeds.terms.keep_our_record.what_to_keep')" :options="$choices"
    :value="$said['what'] ?? 'all'" />
<x-field name="because" :label="__('deeds.terms.keep_our_record.reason')" :value="$said['because'] ?? ''" maxlength="500" required/>
