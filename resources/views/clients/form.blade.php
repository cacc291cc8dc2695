<x-layout :title="$client->exists ? 'Change '.$client->name : __('Write down a :served')" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('clients.index') }}">{{ __(':Served_many') }}</a></nav>
    <h1>{{ $client->exists ? 'Change '.$client->name : __('Write down a :served') }}</h1>
    <x-row-form :row="$client" route="clients">
        <div class="columns">
            <x-field name="name" label="Name" :value="$client->exists ? $client->name : null" required maxlength="200"/>
            <x-field name="mailbox" :readonly="$client->exists && auth()->user()->cannot('settle')" label="Mailbox" type="email" :value="$client->mailbox" maxlength="320"/>
            <x-field name="pattern_id" type="choice" label="What the world reads of its names’ holders" :value="$client->pattern_id" :options="$patterns"/>
        </div>
        <x-field name="remarks" label="Remarks" type="area" :value="$client->remarks" maxlength="4000"/>
    </x-row-form>
</x-layout>
