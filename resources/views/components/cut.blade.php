{{-- A list that is cut says so, and where the rest is. --}}
@props(['shown', 'most'])
@if ($shown >= $most)<p class="lesser">{{ __('forms.cut', ['most' => number_format($most)]) }} {{ $slot }}</p>@endif
