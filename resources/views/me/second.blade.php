<x-layout title="Set up a second factor">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('me') }}">{{ __('settings.yours') }}</a> / a second factor</nav>
    <h1>Set up a second factor</h1>
    <p class="sentence">Show this key to a program that shows codes by the clock (RFC 6238), or type it there; then type the code that it shows.</p>
    <section class="card">
        <div class="key-picture" data-key="{{ $address }}" data-says="The key as a picture, for a telephone’s camera" hidden></div>
        <p class="lesser">Key, for typing</p><p class="values" tabindex="0">{{ $secret }}</p>
        <p class="lesser">The same as an address</p><p class="values" tabindex="0">{{ $address }}</p>
        <form method="post" action="{{ route('me.second') }}" class="fields">@csrf
            <div class="columns"><x-field name="code" label="The code that it shows" inputmode="numeric" autocomplete="one-time-code" maxlength="10" required/><x-own-password/></div>
            <p><button class="main">Ask for it from now on</button></p>
        </form>
    </section>
</x-layout>
