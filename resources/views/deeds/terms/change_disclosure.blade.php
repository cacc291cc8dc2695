<x-field name="pattern" type="choice" label="The world reads" :options="$choices" :value="$said['pattern'] ?? ''" note="A pattern of the house; what suffix and registrar don’t grant is said below"/>
<x-field name="consent" label="On whose word more is shown, and in which words" :value="$said['consent'] ?? ''" maxlength="2000" note="Only where something is to be read that is hidden today; kept with the docket"/>
<x-field name="consent_on" type="date" label="Given on" :value="$said['consent_on'] ?? ''" note="Empty: today"/>
