<x-field name="what" type="choice" :label="__('deeds.terms.leave_drift.what_to_keep')" :options="$choices" :value="$said['what'] ?? 'all'"/>
<x-field name="because" :label="__('deeds.terms.leave_drift.reason')" :value="$said['because'] ?? ''" maxlength="500" required/>
