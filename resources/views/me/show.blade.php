<x-layout :title="__('settings.yours')">
    <h1>{{ __('settings.yours') }}</h1>
    <p class="sentence">{{ auth()->user()->email }}, {{ __('words.role.'.auth()->user()->role->value) }}.</p>
    <section class="card" aria-labelledby="password">
        <h2 id="password">Password</h2>
        <form method="post" action="{{ route('me.password') }}" class="fields">@csrf @method('put')
            <div class="columns"><x-own-password name="current_password" label="Current password"/><x-field name="password" id="new-password" label="New password" type="password" autocomplete="new-password" required :note="__('session.password.note')"/><x-field name="password_confirmation" label="New password again" type="password" autocomplete="new-password" required/></div>
            <p><button>Change the password</button> <span class="lesser">You are signed out everywhere else.</span></p>
        </form>
    </section>
    <section class="card" aria-labelledby="second">
        <h2 id="second">A second factor</h2>
        @if ($hasSecond)
            <p>A code is asked for after the password. {{ $left }} of your recovery codes are left.</p>
            <form method="post" action="{{ route('me.second') }}" class="fields">@csrf @method('delete')<div class="columns"><x-own-password/><x-field name="code" label="Code, or a recovery code" inputmode="numeric" autocomplete="one-time-code" maxlength="40" required/></div><p><button class="grave">Take it off</button></p></form>
        @else
            <p>A code by the clock, beside the password: whoever learns the password alone does not come in.</p>
            <p><a class="button main" href="{{ route('me.second') }}">Set it up</a></p>
        @endif
    </section>
    <section class="card" aria-labelledby="sessions">
        <h2 id="sessions">Where you are signed in</h2>
        <table class="sheet low"><caption class="hide">Your sessions</caption>
            <thead><tr><th scope="col">With</th><th scope="col">From</th><th scope="col">Last seen</th><th scope="col"><span class="hide">Deed</span></th></tr></thead>
            <tbody>@foreach ($sessions as $one)<tr><th scope="row"><span class="lesser">{{ $one['with'] }}</span></th><td data-label="From" class="mono">{{ $one['from'] }}</td><td data-label="Last seen">{{ App\Support\Dates::exact($one['last']) }}</td><td class="sum">@if ($one['isThis'])this one @else<form method="post" action="{{ route('me.sessions') }}">@csrf<button name="session" value="{{ $one['key'] }}">End it</button></form>@endif</td></tr>@endforeach</tbody></table>
        @if (count($sessions) > 1)<form method="post" action="{{ route('me.sessions') }}">@csrf<p><button name="session" value="others" class="grave">End every other one</button></p></form>@endif
    </section>
</x-layout>
