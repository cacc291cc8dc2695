<x-layout :title="__('session.forgot.forgotten_password')">
    <div class="door">
        <h1>{{ __('session.forgot.forgotten_password') }}</h1>
        <p>{{ __('session.forgot.enter_the_mailbox_you_sign_in') }}</p>
        <form method="post" action="{{ route('forgot') }}" class="fields">
            @csrf
            <x-field name="email" :label="__('common.mailbox')" type="email" autocomplete="username" maxlength="320" required autofocus />
            <button class="main">{{ __('session.forgot.send_the_link') }}</button> <a class="button"
                href="{{ route('sign-in') }}">{{ __('common.cancel') }}</a>
        </form>
    </div>
</x-layout>
