<x-layout plain title="Set your password">
    <div class="door">
        <h1>{{ $isFirst ? 'Welcome to '.$house : 'Set a new password' }}</h1>
        <p>{{ $isFirst ? 'Set the password with which you sign in.' : 'You are signed out everywhere else. A second factor is asked for as before.' }}</p>
        <form method="post" action="{{ route('answers.store', $token) }}" class="fields" data-once>
            <input type="text" value="{{ $email }}" autocomplete="username" hidden>
            <x-field name="password" label="Password" type="password" autocomplete="new-password" required :note="__('session.password.note')"/>
            <x-field name="password_confirmation" label="Password again" type="password" autocomplete="new-password" required/>
            <button class="main">Set the password</button>
        </form>
    </div>
</x-layout>
