{{-- $read: a movement; what it waits for, with a way to its page --}}
@php($leg = $read->track->now())
<span class="watch">@if ($leg !== null)
        <span class="is-move">{{ __('movements.waits_for', [
            'what' => lcfirst($words->say('movements.leg.' . $leg->leg->kind->value)),
            'by' => App\Support\Dates::full($leg->until),
        ]) }}</span>
    @endif <a class="in-text" href="{{ route('movements.show', $read->movement) }}">{{ __('movements.see_steps') }}</a></span>
