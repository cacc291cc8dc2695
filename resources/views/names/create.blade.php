<x-layout :title="__('names.add.title')" area="Roll">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('roll') }}">The Roll</a></nav>
    <h1>{{ __('names.add.title') }}</h1>
    <p class="sentence">{{ __('names.add.says') }} <a href="{{ route('bring-in.create') }}">{{ __('names.add.many') }}</a></p>
    @if ($accounts === [])
        <div class="empty"><h2>{{ __('names.add.no_account') }}</h2><p><a class="button main" href="{{ route('accounts.create') }}">{{ __('names.add.make_account') }}</a></p></div>
    @else
        <form method="post" action="{{ route('names.store') }}" class="card fields">
            @csrf
            <div class="columns">
                <x-field name="name" label="Domain name" maxlength="300" required :note="__('names.add.name_note')"/>
                <x-field name="account" type="choice" label="Account" :options="$accounts"/>
                <x-field name="client" type="choice" :label="__(':Served')" :options="$clients"/>
                <x-field name="created_on" label="Registered on" type="date" note="Empty: not known"/>
                <x-field name="ends_on" label="Ends on" type="date" note="The end of the paid term"/>
                <x-choice name="intent" label="What is to happen at its end" value="when_told" words="words.intent"/>
                <x-field name="registrant" label="Registrant" maxlength="255" note="The legal holder: an organisation, or a person"/>
                <x-field name="mailbox" label="Registrant’s mailbox" maxlength="320"/>
                <x-field name="servers" type="area" label="Name servers" rows="3" note="One a line, as the registry has them"/>
            </div>
            <p><button class="main">{{ __('names.add.title') }}</button> <a class="button" href="{{ route('roll') }}">Cancel</a></p>
        </form>
    @endif
</x-layout>
