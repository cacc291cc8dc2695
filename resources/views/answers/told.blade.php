<x-layout plain :title="$words->say('letters.answer.' . $what)">
    <div class="door">
        <h1>{{ $words->say('letters.answer.' . $what) }}</h1>
        <p>{{ $words->say('letters.answer.' . $what . '_says', ['house' => $house]) }}</p>
        @if ($what === 'password_set')
            <p><a class="button main" href="{{ route('sign-in') }}">{{ __('common.sign_in') }}</a></p>
        @elseif ($what === 'password_over')
            <p><a class="button main" href="{{ route('forgot') }}">{{ __('answers.told.request_another_letter') }}</a></p>
        @endif
    </div>
</x-layout>
