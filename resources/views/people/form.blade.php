<x-layout :title="$person->exists ? $person->name : 'Add a user'">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('people.index') }}">{{ __('settings.section')['people.index'] }}</a></nav>
    <h1>{{ $person->exists ? $person->name : 'Add a user' }}</h1>
    <form method="post" action="{{ $person->exists ? route('people.update', $person) : route('people.store') }}" class="card fields">
        @csrf @if ($person->exists) @method('put') @endif
        <div class="columns">
            <x-field name="name" label="Name" :value="$person->exists ? $person->name : null" required maxlength="120"/>
            <x-field name="email" label="Mailbox" type="email" autocomplete="username" :value="$person->exists ? $person->email : null" required maxlength="320"/>
            <x-choice name="role" label="Role" :value="$person->exists ? $person->role->value : 'clerk'" words="words.role"/>
            @if (! $byLetter && ! $person->is(auth()->user()))
                <x-field name="password" label="Password" type="password" autocomplete="new-password" :note="$person->exists ? 'Empty: stays as it is' : __('session.password.note')"/>
                <x-field name="password_confirmation" label="Password again" type="password" autocomplete="new-password"/>
            @endif
        </div>
        <label class="tick"><input type="hidden" name="may_sign_in" value="0"><input type="checkbox" name="may_sign_in" value="1" @checked((bool) old('may_sign_in', $person->may_sign_in))> may sign in</label>
        @error('may_sign_in')<p class="wrong">{{ $message }}</p>@enderror
        @if ($byLetter && ! $person->exists)<p class="lesser">They get a letter with a link, and set their own password.</p>@elseif ($byLetter && $person->password === null)<p class="lesser">They have not set a password yet: when you save this, another letter is written.</p>@endif
        <p><button class="main">{{ $person->exists ? 'Save' : ($byLetter ? 'Invite them' : 'Save') }}</button> <a class="button" href="{{ route('people.index') }}">Leave it</a></p>
    </form>
    @if ($person->exists && $person->otp_secret !== null)
        <section class="card" aria-labelledby="second"><h2 id="second">Their second factor</h2><p>A code is asked for after their password. Take it off only when they have lost what shows it, and their recovery codes too.</p>
            <form method="post" action="{{ route('people.second', $person) }}">@csrf @method('delete')<p><button class="grave">Take it off</button></p></form></section>
    @endif
</x-layout>
