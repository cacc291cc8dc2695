<x-layout plain :title="__('answers.renewals.thanks')">
    <div class="door">
        <h1>{{ __('answers.renewals.thanks') }}</h1>
        <p>{{ $kept === 0 ? '' : trans_choice('answers.renewals.kept', $kept, ['house' => $house, 'count' => number_format($kept)]) }}
            {{ $lapse === 0 ? '' : trans_choice('answers.renewals.let_go', $lapse, ['count' => number_format($lapse)]) }}
            {{ __('answers.renewals.changed', ['house' => $house]) }}</p>
    </div>
</x-layout>
