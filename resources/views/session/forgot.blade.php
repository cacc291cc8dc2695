<x-layout title="Forgotten password">
    <div class="door">
        <h1>Forgotten password</h1>
        <p>Type the mailbox with which you sign in. You get a letter with a link that is good once, for an hour.</p>
        <form method="post" action="{{ route('forgot') }}" class="fields">
            @csrf
            <x-field name="email" label="Mailbox" type="email" autocomplete="username" maxlength="320" required autofocus/>
            <button class="main">Write to me</button> <a class="button" href="{{ route('sign-in') }}">Cancel</a>
        </form>
    </div>
</x-layout>
