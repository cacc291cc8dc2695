<x-failure :title="__('errors.429.too_many_attempts')"><p>{{ __('errors.429.wait_a_minute_then_try_again') }}</p></x-failure>
