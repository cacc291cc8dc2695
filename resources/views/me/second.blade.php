<x-layout :title="__('me.second.set_up_a_second_factor')">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('me') }}">{{ __('settings.yours') }}</a> /
        {{ __('me.second.trail') }}</nav>
    <h1>{{ __('me.second.set_up_a_second_factor') }}</h1>
    <p class="sentence">{{ __('me.second.add_this_key_to_your') }}</p>
    <section class="card">
        <div class="key-picture" data-key="{{ $address }}" data-says="The key as a picture, for a telephone’s camera" hidden></div>
        <p class="lesser">{{ __('me.second.key_to_type') }}</p>
        <p class="values" tabindex="0">{{ $secret }}</p>
        <p class="lesser">{{ __('me.second.as_a_link') }}</p>
        <p class="values" tabindex="0">{{ $address }}</p>
        <form method="post" action="{{ route('me.second') }}" class="fields">@csrf
            <div class="columns">
            <x-field name="code" :label="__('me.second.code_from_the_app')" inputmode="numeric" autocomplete="one-time-code" maxlength="10"
                    required /><x-own-password /></div>
            <p><button class="main">{{ __('me.second.turn_on_the_second_factor') }}</button></p>
        </form>
    </section>
</x-layout>
