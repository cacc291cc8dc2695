<x-layout title="The second code">
    <div class="door">
        <h1>And the code</h1>
        <p>The six figures that your program shows now; or one of your recovery codes.</p>
        <form method="post" action="{{ route('sign-in.second') }}" class="fields">
            @csrf
            <x-field name="code" label="Code" autocomplete="one-time-code" inputmode="numeric" required autofocus/>
            <button class="main">Sign in</button>
        </form>
    </div>
</x-layout>
