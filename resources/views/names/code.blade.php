<x-layout :title="__('names.code.the_auth_code_of', ['unicode' => $name->unicode])" area="Roll">
    <div class="door">
        <nav class="trail" aria-label="{{ __('common.where_you_are') }}">
            <a href="{{ route('names.show', $name) }}">{{ $name->unicode }}</a> /
            {{ __('names.code_page.trail') }}</nav>
        <h1>{{ __('names.code.the_auth_code_of', ['unicode' => $name->unicode]) }}</h1>
        <p><code class="values" tabindex="0">{{ $code }}</code></p>
        <p>{{ __('names.code.anyone_who_has_it_can_transfer') }}</p>
        <p><a class="button" href="{{ route('names.show', $name) }}">{{ __('names.code.back_to_the_folio') }}</a></p>
    </div>
</x-layout>
