<x-layout :title="$person->exists ? $person->name : __('people.form.add_a_user')">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('people.index') }}">{{ __('settings.section')['people.index'] }}</a></nav>
    <h1>{{ $person->exists ? $person->name : __('people.form.add_a_user') }}</h1>
    <form method="post" action="{{ $person->exists ? route('people.update', $person) : route('people.store') }}" class="card fields">
        @csrf @if ($person->exists)
            @method('put')
        @endif
        <div class="columns">
            <x-field name="name" :label="__('common.name')" :value="$person->exists ? $person->name : null" required maxlength="120" />
            <x-field name="email" :label="__('common.mailbox')" type="email" autocomplete="username"
                :value="$person->exists ? $person->email : null" required maxlength="320"/>
            <x-choice name="role" :label="__('people.form.role')" :value="$person->exists ? $person->role->value : 'clerk'"
                words="words.role"/>
            @if (!$byLetter && !$person->is(auth()->user()))
                <x-field name="password" :label="__('common.password')" type="password" autocomplete="new-password"
                    :note="$person->exists ? __('people.form.empty_unchanged') : __('session.password.note')"/>
                <x-field name="password_confirmation" :label="__('common.password_again')" type="password" autocomplete="new-password" />
            @endif
        </div>
        <label class="tick"><input type="hidden" name="may_sign_in" value="0"><input type="checkbox" name="may_sign_in"
                value="1" @checked((bool) old('may_sign_in', $person->may_sign_in))> {{ __('people.form.can_sign_in') }}</label>
        @error('may_sign_in')
            <p class="wrong">{{ $message }}</p>
        @enderror
        @if ($byLetter && !$person->exists)
            <p class="lesser">{{ __('people.form.they_get_an_e_mail_with_a_link') }}</p>
        @elseif ($byLetter && $person->password === null)
            <p class="lesser">{{ __('people.form.they_have_not_set_a_password') }}</p>
        @endif
        <p><button
                class="main">{{ $person->exists
                    ? __('common.save')
                    : ($byLetter ? __('people.form.send_the_invitation') : __('common.save')) }}</button>
            <a class="button" href="{{ route('people.index') }}">{{ __('common.cancel') }}</a></p>
    </form>
    @if ($person->exists && $person->otp_secret !== null)
        <section class="card" aria-labelledby="second">
            <h2 id="second">{{ __('people.form.their_second_factor') }}</h2>
            <p>{{ __('people.form.they_are_asked_for_a_code') }}</p>
            <form method="post" action="{{ route('people.second', $person) }}">@csrf @method('delete')<p><button
                        class="grave">{{ __('people.form.turn_it_off') }}</button></p>
            </form>
        </section>
    @endif
</x-layout>
