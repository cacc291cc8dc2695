<x-failure :title="__('errors.403.not_allowed')"><p>{{ __('errors.403.your_role_does_not_allow_this') }}</p></x-failure>
