@php($title = $today === null ? 'Write a contact down' : 'Change '.$today->called)
<x-layout :title="$title" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('contacts.index') }}">Who stands behind the names</a>@if ($today !== null) / <a href="{{ route('contacts.show', $contact) }}">{{ $today->called }}</a>@endif</nav>
    <h1>{{ $title }}</h1>
    @if ($starts !== [])
        <section class="told told-bad apart" role="alert" aria-labelledby="starts">
            <h2 id="starts">Nothing is saved yet: this is a change of registrant</h2>
            <p>Its person, organisation or mailbox is another one. For the names that it is the registrant of, that starts:</p>
            <ul>@foreach ($starts as $group)<li><strong>{{ $group['names'] === 1 ? 'One name' : number_format($group['names']).' names' }}</strong> under {{ implode(', ', array_map(fn (string $suffix): string => '.'.$suffix, $group['suffixes'])) }}: {{ $words->say('contacts.confirms.'.$group['what']->confirms->value) }}{{ $group['what']->verifyBy === null ? '' : '; the mailbox must be verified by '.App\Support\Dates::full($group['what']->verifyBy).', or they go dark' }}{{ $group['what']->holdUntil === null ? '' : '; they may not go to another registrar before '.App\Support\Dates::full($group['what']->holdUntil).', unless that hold is declined beforehand' }}.</li>@endforeach</ul>
            <p>If any of them is to move to another registrar, move it first. What is saved here changes our books; it is told to registrars by a deed of its own.</p>
        </section>
    @endif
    <form method="post" action="{{ $today === null ? route('contacts.store') : route('contacts.update', $contact) }}" class="card fields" data-once>
        @csrf
        @if ($today !== null) @method('put') <input type="hidden" name="version" value="{{ $errors->has('version') ? $contact->version : old('version', $contact->version) }}">@endif
        @if ($seen !== '')<input type="hidden" name="seen" value="{{ $seen }}">@endif
        <div class="columns">
            <x-choice name="kind" label="It is" :value="$contact->kind->value" words="contacts.kind"/>
            <x-field name="organisation" label="Organisation" :value="$today?->organisation" maxlength="255" autocomplete="off"/>
            <x-field name="person" label="Person" :value="$today?->person" maxlength="255" autocomplete="off"/>
            <x-field name="mailbox" label="Mailbox" :value="$today?->mailbox?->address" maxlength="320" autocomplete="off" note="One that outlives a person, and not at the name itself"/>
            <x-field name="voice" label="Telephone" :value="$today?->voice" maxlength="60" autocomplete="off" note="With its country, as +44 1632 960123"/>
            <x-field name="client_id" type="choice" :label="__('The :served who knows it')" :value="$contact->client_id" :options="['' => 'nobody has said'] + $clients"/>
            <x-field name="street" type="area" label="Street" :value="implode(chr(10), $today?->street ?? [])" rows="3" note="Three lines at most; a PO box will do"/>
            <x-field name="town" label="Town" :value="$today?->town" maxlength="255" autocomplete="off"/>
            <x-field name="region" label="Region" :value="$today?->region" maxlength="255" autocomplete="off" note="County, state or province, where addresses have one"/>
            <x-field name="postcode" label="Postcode" :value="$today?->postcode" maxlength="16" autocomplete="off"/>
            <x-field name="country" type="choice" label="Country" :value="$today?->country" :options="$countries"/>
        </div>
        <details @if (($today?->local ?? null) !== null || old('local_person') !== null || old('local_organisation') !== null) open @endif><summary>The same in its own script</summary>
            <p class="note">Where it isn’t written in Latin letters. Registries take both (RFC 5733).</p>
            <div class="columns">
                <x-field name="local_organisation" label="Organisation" :value="$today?->local['organisation'] ?? null" maxlength="255"/>
                <x-field name="local_person" label="Person" :value="$today?->local['person'] ?? null" maxlength="255"/>
                <x-field name="local_street" type="area" label="Street" :value="implode(chr(10), $today?->local['street'] ?? [])" rows="3"/>
                <x-field name="local_town" label="Town" :value="$today?->local['town'] ?? null" maxlength="255"/>
                <x-field name="local_region" label="Region" :value="$today?->local['region'] ?? null" maxlength="255"/>
                <x-field name="local_postcode" label="Postcode" :value="$today?->local['postcode'] ?? null" maxlength="16"/>
            </div>
        </details>
        <p><button class="main">{{ $starts === [] ? 'Save' : 'Save it all the same' }}</button> <a class="button" href="{{ $today === null ? route('contacts.index') : route('contacts.show', $contact) }}">Leave it</a></p>
    </form>
</x-layout>
