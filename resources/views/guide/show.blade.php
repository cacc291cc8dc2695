<x-layout :title="__('words.page.guide')">
    <h1>{{ __('words.page.guide') }}</h1>
    <article class="guide">{{ $guide }}</article>
</x-layout>
