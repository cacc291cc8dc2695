<x-layout title="Sign in">
    <div class="door">
        <h1>Sign in</h1>
        <p>The inventory of your names: what is due, what may be done, and proof of what happened.</p>
        <form method="post" action="{{ route('sign-in') }}" class="fields">
            @csrf
            <x-field name="email" label="Mailbox" type="email" autocomplete="username" required autofocus/>
            <x-field name="password" label="Password" type="password" autocomplete="current-password" required/>
            <button class="main">Sign in</button> <a href="{{ route('forgot') }}">Forgotten password</a>
        </form>
    </div>
</x-layout>
