<x-failure :title="__('errors.422.not_understood')"><p>{{ __('errors.422.the_page_could_not_read') }}</p></x-failure>
