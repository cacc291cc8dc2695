<x-field name="what" type="choice" label="What is taken" :options="$choices" :value="$said['what'] ?? 'all'"/>
