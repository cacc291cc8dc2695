<x-failure :title="__('errors.413.too_large')"><p>{{ __('errors.413.the_upload_is_too_large_and') }}</p></x-failure>
