<x-field name="years" type="choice" :label="__('deeds.record_renewal.for')" :value="(string) ($said['years'] ?? 1)"
    :options="collect(range(1, 10))
    ->mapWithKeys(fn(int $years) => [(string) $years => trans_choice('deeds.record_renewal.years', $years)])
    ->all()" />
