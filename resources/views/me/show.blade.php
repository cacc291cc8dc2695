<x-layout :title="__('settings.yours')">
    <h1>{{ __('settings.yours') }}</h1>
    <p class="sentence">{{ auth()->user()->email }}, {{ __('words.role.' . auth()->user()->role->value) }}.</p>
    <section class="card" aria-labelledby="password">
        <h2 id="password">{{ __('common.password') }}</h2>
        <form method="post" action="{{ route('me.password') }}" class="fields">@csrf @method('put')
            <div class="columns"><x-own-password name="current_password" :label="__('me.show.current_password')" />
            <x-field name="password" id="new-password"
                    :label="__('me.show.new_password')" type="password" autocomplete="new-password" required
                    :note="__('session.password.note')" />
                    <x-field
                    name="password_confirmation" :label="__('me.show.new_password_again')" type="password"
                    autocomplete="new-password" required /></div>
            <p><button>{{ __('me.show.change_the_password') }}</button> <span
                    class="lesser">{{ __('me.show.you_will_be_signed_out') }}</span></p>
        </form>
    </section>
    <section class="card" aria-labelledby="second">
        <h2 id="second">{{ __('me.show.second_factor') }}</h2>
        @if ($hasSecond)
            <p>{{ __('me.show.you_are_asked_for_a_code_after', ['left' => $left]) }}</p>
            <form method="post" action="{{ route('me.second') }}" class="fields">@csrf @method('delete')<div class="columns">
                    <x-own-password />
                    <x-field name="code" :label="__('me.show.code_or_a_recovery_code')" inputmode="numeric" autocomplete="one-time-code"
                        maxlength="40" required /></div>
                <p><button class="grave">{{ __('me.show.turn_it_off') }}</button></p>
            </form>
        @else
            <p>{{ __('me.show.a_code_from_an_authenticator') }}</p>
            <p><a class="button main" href="{{ route('me.second') }}">{{ __('me.show.set_it_up') }}</a></p>
        @endif
    </section>
    <section class="card" aria-labelledby="sessions">
        <h2 id="sessions">{{ __('me.show.your_sessions') }}</h2>
        <table class="sheet low">
            <caption class="hide">{{ __('me.show.your_sessions') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('me.show.browser') }}</th>
                    <th scope="col">{{ __('common.from') }}</th>
                    <th scope="col">{{ __('common.last_seen') }}</th>
                    <th scope="col"><span class="hide">{{ __('common.action') }}</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($sessions as $one)
                    <tr>
                        <th scope="row"><span class="lesser">{{ $one['with'] }}</span></th>
                        <td data-label="{{ __('common.from') }}" class="mono">{{ $one['from'] }}</td>
                        <td data-label="{{ __('common.last_seen') }}">{{ App\Support\Dates::exact($one['last']) }}</td>
                        <td class="sum">
                            @if ($one['isThis'])
                                {{ __('me.show.this_session') }}
                            @else
                                <form method="post" action="{{ route('me.sessions') }}">@csrf<button name="session"
                                        value="{{ $one['key'] }}">{{ __('me.show.sign_out') }}</button></form>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if (count($sessions) > 1)
            <form method="post" action="{{ route('me.sessions') }}">@csrf<p><button name="session" value="others"
                        class="grave">{{ __('me.show.sign_out_everywhere_else') }}</button></p>
            </form>
        @endif
    </section>
</x-layout>
