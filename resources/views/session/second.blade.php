<x-layout :title="__('session.second.second_factor')">
    <div class="door">
        <h1>{{ __('session.second.second_factor') }}</h1>
        <p>{{ __('session.second.the_six_digits_your') }}</p>
        <form method="post" action="{{ route('sign-in.second') }}" class="fields">
            @csrf
            <x-field name="code" :label="__('session.second.code')" autocomplete="one-time-code" inputmode="numeric" required autofocus/>
            <button class="main">{{ __('common.sign_in') }}</button>
        </form>
    </div>
</x-layout>
