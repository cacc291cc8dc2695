<x-field name="lock" type="choice" label="The lock" :options="['on' => 'is set', 'off' => 'is lifted']" :value="$said['lock'] ?? 'on'"/>
