@php($correct = ($said['correct'] ?? $request->word('correct')) !== '')
@if ($correct)
    <input type="hidden" name="correct" value="1">
    <details @if (($said['agreement'] ?? '') !== '') open @endif>
        <summary>{{ __('deeds.terms.change_registrant.agreement_and_confirmation') }}</summary>
@endif
@include('deeds.terms.registrant', ['required' => true])
<x-field name="by" type="date" :label="__('common.answer_by')" :value="$said['by'] ?? $request->word('by')"
    :note="__('deeds.terms.change_registrant.empty_in_two_weeks')"/>
@if ($correct)
    </details>
@endif
