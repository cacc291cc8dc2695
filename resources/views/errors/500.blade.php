<x-failure :title="__('errors.500.something_went_wrong')"><p>{{ __('errors.500.the_error_is_in_this_machines') }}</p></x-failure>
