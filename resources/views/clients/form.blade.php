<x-layout :title="$client->exists ? __('clients.form.change', ['client' => $client->name]) : __('clients.form.add_a')" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}">
        <a href="{{ route('clients.index') }}">{{ __(':Served_many') }}</a></nav>
    <h1>{{ $client->exists ? __('clients.form.change', ['client' => $client->name]) : __('clients.form.add_a') }}</h1>
    <x-row-form :row="$client" route="clients">
        <div class="columns">
            <x-field name="name" :label="__('common.name')" :value="$client->exists ? $client->name : null" required maxlength="200" />
            <x-field name="mailbox" :readonly="$client->exists && auth()->user()->cannot('settle')" :label="__('common.mailbox')"
                type="email" :value="$client->mailbox" maxlength="320"/>
            <x-field name="pattern_id" type="choice" :label="__('clients.form.disclosure_pattern_for_its')" :value="$client->pattern_id"
                :options="$patterns"/>
            <x-field name="language" type="choice" :label="__('clients.form.language')" :value="$client->language->value"
                :options="collect(App\Support\Language::cases())->mapWithKeys(fn($one) => [$one->value => $one->called()])->all()"/>
            <x-field name="surcharge_percent" :label="__('clients.form.surcharge_percent')" :value="$client->surcharge_percent"
                inputmode="decimal" maxlength="6" :note="__('clients.form.surcharge_said')"/>
            <x-field name="surcharge_each" :label="__('clients.form.surcharge_each')" :value="$client->surcharge_each"
                inputmode="decimal" maxlength="9"/>
        </div>
        <label class="tick"><input type="hidden" name="end_letters" value="0"><input type="checkbox" name="end_letters" value="1"
                @checked((bool) old('end_letters', $client->end_letters))> {{ __('clients.form.end_letters') }}</label>
        <x-field name="remarks" :label="__('common.notes')" type="area" :value="$client->remarks" maxlength="4000" />
    </x-row-form>
</x-layout>
