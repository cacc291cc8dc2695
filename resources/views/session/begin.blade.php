<x-layout :title="__('common.start')">
    <div class="door">
        <h1>{{ __('session.begin.set_up_acre_roll') }}</h1>
        <p>{{ __('session.begin.there_are_no_users_yet_the') }}</p>
        <form method="post" action="{{ route('begin') }}" class="fields">
            @csrf
            <x-field name="begin_code" :label="__('session.begin.code')" autocomplete="off" required autofocus
                :note="__('session.begin.printed_by_acre_start_empty')"/>
            <x-field name="house" :label="__('session.begin.name_of_your_organisation')" autocomplete="organization" required
                :note="__('session.begin.your_agency_or_organisation')"/>
            <x-field name="name" :label="__('session.begin.your_name')" autocomplete="name" required />
            <x-field name="email" :label="__('common.mailbox')" type="email" autocomplete="username" required />
            <x-field name="password" :label="__('common.password')" type="password" autocomplete="new-password" required
                :note="__('session.begin.at_least_12_characters')"/>
            <x-field name="password_confirmation" :label="__('common.password_again')" type="password" autocomplete="new-password"
                required/>
            <button class="main">{{ __('common.start') }}</button>
        </form>
    </div>
</x-layout>
