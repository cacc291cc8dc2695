<x-failure :title="__('errors.503.back_in_a_moment')"><p>{{ __('errors.503.the_application_is_being') }}</p></x-failure>
