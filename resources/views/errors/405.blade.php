<x-failure :title="__('errors.405.not_found')"><p>{{ __('errors.405.this_address_does_not_accept') }}</p></x-failure>
