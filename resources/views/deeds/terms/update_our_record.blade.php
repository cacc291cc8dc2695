<x-field name="what" type="choice" :label="__('deeds.terms.update_our_record.what_to_update')" :options="$choices"
    :value="$said['what'] ?? 'all'"/>
