<x-field name="what" type="choice" label="What is left" :options="$choices" :value="$said['what'] ?? 'all'"/>
<x-field name="because" label="Why it may stay so" :value="$said['because'] ?? ''" maxlength="500" required/>
