<x-failure :title="__('errors.404.not_found')"><p>{{ __('errors.404.there_is_no_page_at_this') }}</p></x-failure>
