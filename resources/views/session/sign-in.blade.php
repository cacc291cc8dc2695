<x-layout :title="__('common.sign_in')">
    <div class="door">
        <h1>{{ __('common.sign_in') }}</h1>
        <p>{{ __('session.sign_in.the_inventory_of_your_domain') }}</p>
        <form method="post" action="{{ route('sign-in') }}" class="fields">
            @csrf
            <x-field name="email" :label="__('common.mailbox')" type="email" autocomplete="username" required autofocus />
            <x-field name="password" :label="__('common.password')" type="password" autocomplete="current-password" required />
            <button class="main">{{ __('common.sign_in') }}</button> <a
                href="{{ route('forgot') }}">{{ __('session.sign_in.forgotten_password') }}</a>
        </form>
    </div>
</x-layout>
