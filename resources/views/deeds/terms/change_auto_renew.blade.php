<x-field name="renews" type="choice" label="At their end they" :options="['on' => 'renew by themselves', 'off' => 'renew no more by themselves']" :value="$said['renews'] ?? 'on'"/>
