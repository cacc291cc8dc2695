<x-layout plain :title="__('answers.password.set_your_password')">
    <div class="door">
        <h1>{{ $isFirst ? __('answers.password.welcome_to', ['house' => $house]) : __('answers.password.set_a_new_password') }}</h1>
        <p>{{ $isFirst ? __('answers.password.choose_the_password_you_will') : __('answers.password.you_will_be_signed_out') }}</p>
        <form method="post" action="{{ route('answers.store', $token) }}" class="fields" data-once>
            <input type="text" value="{{ $email }}" autocomplete="username" hidden>
            <x-field name="password" :label="__('common.password')" type="password" autocomplete="new-password" required
                :note="__('session.password.note')"/>
            <x-field name="password_confirmation" :label="__('common.password_again')" type="password" autocomplete="new-password"
                required/>
            <button class="main">{{ __('answers.password.set_the_password') }}</button>
        </form>
    </div>
</x-layout>
