<x-layout title="Begin">
    <div class="door">
        <h1>Begin a house</h1>
        <p>Nobody signs in here yet. The first person is the Owner: runs the place, and says who else may sign in. Next you are asked for a spreadsheet of your names.</p>
        <form method="post" action="{{ route('begin') }}" class="fields">
            @csrf
            <x-field name="begin_code" label="Code" autocomplete="off" required autofocus note="./acre start --empty printed it; ./acre start prints another"/>
            <x-field name="house" label="What the house is called" autocomplete="organization" required note="The agency or the organisation itself: its own names are held for it"/>
            <x-field name="name" label="Your name" autocomplete="name" required/>
            <x-field name="email" label="Mailbox" type="email" autocomplete="username" required/>
            <x-field name="password" label="Password" type="password" autocomplete="new-password" required note="At least 12 characters"/>
            <x-field name="password_confirmation" label="Password again" type="password" autocomplete="new-password" required/>
            <button class="main">Begin</button>
        </form>
    </div>
</x-layout>
