<x-field name="what" type="choice" :label="__('deeds.terms.take_observed.what_to_update')" :options="$choices"
    :value="$said['what'] ?? 'all'"/>
