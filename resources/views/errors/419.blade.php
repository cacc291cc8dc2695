<x-failure :title="__('errors.419.this_page_has_expired')"><p>{{ __('errors.419.it_was_open_too_long_or_you') }}</p></x-failure>
