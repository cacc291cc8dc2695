@props(['readiness', 'words'])
@php($tone = ['clear' => 'is-good', 'clear_from' => 'is-soon', 'not_known' => 'is-soon', 'stopped' => 'is-bad'][$readiness->verdict->value])
<span
    class="{{ $tone }}">{{ $words->say(
        'words.verdict.' . $readiness->verdict->value,
        ['date' => $readiness->from === null ? '' : $words->near($readiness->from)],
    ) }}</span>
