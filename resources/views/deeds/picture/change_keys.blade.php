<p class="lesser">{{ __('deeds.change_keys.verified') }}</p>
