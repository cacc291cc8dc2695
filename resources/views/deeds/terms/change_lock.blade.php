<x-field name="lock" type="choice" :label="__('deeds.terms.change_lock.transfer_lock')"
    :options="['on' => __('deeds.terms.change_lock.set'), 'off' => __('deeds.terms.change_lock.lift')]" :value="$said['lock'] ?? 'on'"/>
