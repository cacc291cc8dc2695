<p class="lesser apart">{{ __('deeds.change_keys.verified') }}</p>
