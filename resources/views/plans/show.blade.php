@php($money = fn(array $sums): string => implode(' + ', array_map(fn($sum) => $sum->text(), $sums)))
<x-layout :title="__('plans.index.plan_number', ['id' => $plan->id])" area="Movements">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('plans.index') }}">{{ __('movements.ways')['plans.index'] }}</a> / {{ __('plans.index.plan_number', [
                'id' => $plan->id,
            ]) }}</nav>
    <div class="head">
        <div>
            <h1>{{ trans_choice('plans.show.heading', $progress->all(), [
                'count' => number_format($progress->all()),
                'registrar' => $plan->account->registrar->name,
            ]) }}</h1>
            <p class="sentence">{{ __('plans.show.sentence.' . $plan->state->value, [
                'because' => (string) $plan->stopped_because,
                'day' => $plan->ended_on === null ? '' : App\Support\Dates::full($plan->ended_on),
            ]) }} <span class="lesser">{{ __('plans.show.limits', [
                'per_day' => $terms->perDay,
                'weekends' => __($terms->onWeekends ? 'plans.show.on_weekends' : 'plans.show.no_weekends'),
                'share' => $terms->stopAt,
            ]) }}</span></p>
        </div>
        @if ($plan->state->isOpen())
            @can('settle')
                <form method="post" action="{{ route('plans.call-off', $plan) }}" class="head-deeds" data-once>@csrf<button
                        class="grave">{{ __('plans.show.call_off') }}</button>
                    <button formaction="{{ route('plans.anew', $plan) }}">{{ __('plans.show.anew') }}</button></form>
            @endcan
        @endif
    </div>
    <dl class="figures card">
        @foreach ([
            'done' => $progress->done,
            'moving' => $progress->moving,
            'failed' => $progress->failed,
            'left' => $progress->left,
            'without' => $progress->without,
        ] as $what => $count)
            <div>
                <dt>{{ __('plans.show.' . $what) }}</dt>
                <dd class="{{ $what === 'failed' && $count > 0 ? 'is-bad' : '' }}">{{ number_format($count) }}</dd>
            </div>
        @endforeach
        <div>
            <dt>{{ __('plans.show.spent') }}</dt>
            <dd>{{ $money($spent) }}</dd>
        </div>
        <div>
            <dt>{{ __('plans.show.to_spend') }}</dt>
            <dd>{{ $money($toSpend) }}</dd>
        </div>
    </dl>
    @include('plans.drawing')
    <table class="sheet apart">
        <caption class="hide">{{ __('common.the_names') }}</caption>
        <thead>
            <tr>
                <th scope="col" class="c-name">{{ __('common.name') }}</th>
                <th scope="col">{{ __('plans.show.day') }}</th>
                <th scope="col">{{ __('plans.show.why') }}</th>
                <th scope="col">{{ __('plans.index.state') }}</th>
                @can('settle')
                    <th scope="col">{{ __('plans.show.other_day') }}</th>
                @endcan
            </tr>
        </thead>
        <tbody>
            @foreach ($rows as $row)
                <tr>
                    <th scope="row"><a class="name" href="{{ route('names.show', $row->ascii) }}">{{ $row->unicode }}</a></th>
                    <td data-label="{{ __('plans.show.day') }}">{{ $row->day === null ? '' : App\Support\Dates::full($row->day) }}</td>
                    <td data-label="{{ __('plans.show.why') }}">{{ __('plans.why.' . ($row->why === 'held' ? 'held_here' : $row->why)) }}
                        @if ($row->isLate)
                            <span class="reason is-soon">{{ __('plans.show.is_late') }}</span>
                        @endif
                    </td>
                    <td data-label="{{ __('plans.index.state') }}">
                        @if ($row->docket !== null)
                            <a class="in-text" href="{{ route('dockets.show', $row->docket) }}">{{ $row->state === null
                                ? __('plans.show.docket', ['id' => $row->docket])
                                : $words->say('words.line_state.' . ($row->state->value === 'begun' ? 'moving' : $row->state->value)) }}</a>
                            @if ($row->reason !== null)
                                <span class="reason lesser"><bdi>{{ $row->reason }}</bdi></span>
                            @endif
                        @endif
                    </td>
                    @can('settle')
                        <td>
                            @if ($row->docket === null && $plan->state->isOpen())
                                <details class="menu left">
                                    <summary class="button low"
                                        aria-label="{{ __('plans.show.move_name', ['name' => $row->unicode]) }}">{{
                                        __('plans.show.move')
                                    }}</summary>
                                    <div class="menu-sheet">
                                        <form method="post" action="{{ route('plans.move', [$plan, $row->ascii]) }}">@csrf
                                            <p><input type="date" name="day" min="{{ $today->date() }}" value="{{ $row->day?->date() }}"
                                                    aria-label="{{ __('plans.show.day_of', ['name' => $row->unicode]) }}"></p>
                                            <p><button>{{ __('plans.show.set_day') }}</button></p>
                                            <p class="lesser">{{ __('plans.show.no_day') }}</p>
                                        </form>
                                    </div>
                                </details>
                            @endif
                        </td>
                    @endcan
                </tr>
            @endforeach
        </tbody>
    </table>
    @if ($progress->all() > count($rows))
        <p class="lesser">{{ __('plans.show.more', ['count' => number_format($progress->all() - count($rows))]) }}</p>
    @endif
    @if ($plan->state->isOpen())
        @can('settle')
            <x-slot:foot>
                <div class="foot" role="region" aria-label="{{ __('deeds.show.what_will_happen') }}">
                    <div class="foot-say">
                        <p><strong>{{ $plan->state === App\Models\PlanState::Stopped
                            ? $plan->stopped_because
                            : trans_choice('plans.show.due', $progress->due, ['count' => number_format($progress->due)]) }}</strong></p>
                        <p class="lesser">{{ __($plan->state === App\Models\PlanState::Stopped
                            ? 'plans.show.go_on_said'
                            : 'plans.show.start_said') }}
                            @if ($progress->due > 0 && $plan->account->registrar->agreements !== [])
                                {{ __('deeds.transfer.accepts') }} <x-agreements :of="$plan->account->registrar->agreements"/>
                            @endif
                        </p>
                    </div>
                    @if ($plan->state === App\Models\PlanState::Stopped)
                        <form method="post" action="{{ route('plans.go-on', $plan) }}" data-once>@csrf<button
                                class="main">{{ __('plans.show.go_on') }}</button></form>
                    @elseif ($progress->due > 0)
                        <form method="post" action="{{ route('plans.start', $plan) }}" data-once>@csrf<button
                                class="main">{{ trans_choice('plans.show.start', $progress->due, [
                                    'count' => number_format($progress->due),
                                ]) }}</button></form>
                    @endif
                </div>
            </x-slot:foot>
        @endcan
    @endif
</x-layout>
