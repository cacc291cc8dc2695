@php($asked = $acceptance !== null && $acceptance->answered_on === null)
@php($name = fn(int $n): string => trans_choice('common.names_told', $n, ['told' => number_format($n)]))
@php($onSlip = $tickable !== null
    ? count($tickable)
    : array_sum(array_map(fn($lot): int => count($lot->lines), $slip->lots ?? [])))
@php($whose = $receiver === null ? '' : $receiver->owner?->name ?? 'ourselves')
<x-layout :title="__('dockets.show.docket', ['id' => $docket->id])" area="Movements">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}">
        <a href="{{ route('dockets.index') }}">{{ __('common.movements') }}</a> /
        {{ __('dockets.show.trail', ['id' => $docket->id]) }}</nav>
    @include('dockets.head')
    @if ($moving !== null)
        <noscript>
            <meta http-equiv="refresh" content="3">
        </noscript>
    @endif
    @if ($setbacks !== [])
        <section class="card apart" aria-labelledby="failed-work">
            <h2 id="failed-work">{{ __('common.failed_work') }}</h2>
            <p class="lesser">{{ __('dockets.show.these_failed_they_hold_up') }}</p><x-setbacks :setbacks="$setbacks" />
        </section>
    @endif
    @if ($failure !== null && $docket->state === App\Models\DocketState::Settled)
        <p class="told told-bad" role="alert">{{ __('dockets.ending_failed') }} {{ $failure }}</p>
    @endif
    @if ($docket->state === App\Models\DocketState::Settled)
        <p class="progress"><progress max="{{ max(1, $progress->meant()) }}" value="{{ $progress->done + $progress->refused }}"
                aria-label="{{ __('dockets.show.progress') }}"></progress> <span
                class="lesser">{{ __(
                    'dockets.show.of_done_left',
                    [
                        'done' => number_format($progress->done),
                        'meant' => number_format($progress->meant()),
                        'waiting' => number_format($progress->begun + $progress->waiting),
                    ],
                ) }}</span>
        </p>
    @endif
    @foreach ($late as $one)
        <p class="told">
            <strong>{{ __(
                'letters.late.seen',
                [
                    'mailbox' => $one->mailbox,
                    'day' => App\Support\Dates::full($one->late_on),
                    'what' => __('letters.late.' . ($one->late_says ? 'agreed' : 'declined')),
                ],
            ) }}</strong>
            @if ($one->late_words !== null)
                <bdi>“{{ $one->late_words }}”</bdi>
            @endif{{ __('letters.late.decide') }}
        </p>
    @endforeach
    @include('dockets.agreements')
    @include('dockets.receiver')
    @include('dockets.sides')
    @include('dockets.slip')
    @include('deeds.codes', ['wanting' => $wantingCodes])
    @include('dockets.handout')
    @include('dockets.lines')
    @include('dockets.ending')
</x-layout>
