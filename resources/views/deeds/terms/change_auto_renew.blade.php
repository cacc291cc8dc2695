<x-field name="renews" type="choice" :label="__('deeds.terms.change_auto_renew.at_the_end_of_the_term')"
    :options="['on' => __('deeds.terms.change_auto_renew.auto_renew'), 'off' => __('deeds.terms.change_auto_renew.do_not_auto_renew')]"
    :value="$said['renews'] ?? 'on'"/>
