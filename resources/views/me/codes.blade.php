<x-layout :title="__('me.codes.recovery_codes')">
    <h1>{{ __('me.codes.recovery_codes') }}</h1>
    <p class="sentence">{{ __('me.codes.what') }} <strong>{{ __('me.codes.once') }}</strong></p>
    <section class="card">
        <pre class="values" tabindex="0">{{ implode("\n", $codes) }}</pre>
        <p class="no-paper"><button type="button" data-print>{{ __('common.print') }}</button> <a class="button main"
                href="{{ route('me') }}">{{ __('me.codes.i_have_saved_them') }}</a></p>
    </section>
</x-layout>
