<x-layout :title="__('names.add.title')" area="Roll">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a></nav>
    <h1>{{ __('names.add.title') }}</h1>
    <p class="sentence">{{ __('names.add.says') }} <a href="{{ route('imports.create') }}">{{ __('names.add.many') }}</a></p>
    @if ($watched !== null)
        <p class="lesser">{{ __('names.add.watched', ['registrar' => $watched->registrarName()]) }}
            <a href="{{ route('accounts.create') }}">{{ __('names.add.other_account') }}</a></p>
    @endif
    @if ($accounts === [])
        <div class="empty">
            <h2>{{ __('names.add.no_account') }}</h2>
            <p><a class="button main" href="{{ route('accounts.create') }}">{{ __('names.add.make_account') }}</a></p>
        </div>
    @else
        <form method="post" action="{{ route('names.store') }}" class="card fields">
            @csrf
            <div class="columns">
                <x-field name="name" :label="__('names.create.domain_name')" maxlength="300" required :value="$name"
                    :note="__('names.add.name_note')"/>
                <x-field name="account" type="choice" :label="__('common.account')" required
                    :options="($watched === null ? [] : ['' => __('common.choose')]) + $accounts"/>
                <x-field name="client" type="choice" :label="__(':Served')" :options="$clients" :value="$watched?->clientId"/>
                <x-field name="created_on" :label="__('names.create.registered_on')" type="date" :note="__('common.empty_not_known')"
                    :value="$watched?->facts->created?->date()"/>
                <x-field name="ends_on" :label="__('names.create.ends_on')" type="date" :value="$watched?->facts->ends?->date()"
                    :note="__('names.create.the_end_of_the_paid_term')"/>
                <x-choice name="intent" :label="__('common.intent')" value="when_told" words="words.intent" />
                <x-field name="registrant" :label="__('common.registrant')" maxlength="255" :value="$watched?->registrant"
                    :note="__('names.create.the_legal_holder_an')"/>
                <x-field name="mailbox" :label="__('names.create.registrants_mailbox')" maxlength="320" />
                <x-field name="servers" type="area" :label="__('common.name_servers')" rows="3"
                    :value="implode(PHP_EOL, $watched->servers ?? [])"
                    :note="__('names.create.one_per_line_as_at_the')"/>
            </div>
            <p><button class="main">{{ __('names.add.title') }}</button> <a class="button"
                    href="{{ route('roll') }}">{{ __('common.cancel') }}</a></p>
        </form>
    @endif
</x-layout>
