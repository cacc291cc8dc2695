@php($names = array_sum($plan->names))
<x-layout :title="__('outside.index.outside')" area="Outside">
    @include('outside.ways')
    <h1>{{ __('outside.index.monitoring') }}</h1>
    <p class="sentence">
        @if ($names === 0)
            {{ __('outside.index.no_name_is_monitored_yet') }}
        @else
            {{ trans_choice('outside.index.monitored', $names, ['told' => number_format($names)]) }}
            @if ($plan->asked !== null)
                <x-sentence of="outside.index.last_answer">
                <x-slot:day><strong>{{ App\Support\Dates::exact($plan->asked) }}</strong></x-slot>
                </x-sentence>
            @endif
            @if (array_sum($counts) > 0)
                <a
                    href="{{ route('drift.index') }}">{{ trans_choice(
                        'outside.index.differ',
                        array_sum($counts),
                        ['told' => number_format(array_sum($counts))],
                    ) }}</a>
            @else
                {{ __('outside.index.there_is_no_difference_from') }}
            @endif
        @endif
    </p>
    <div class="cards">
        <section class="card" aria-labelledby="pace">
            <h2 id="pace">{{ __('outside.index.how_often') }}</h2>
            <dl class="facts">
                @foreach ($plan->names as $pace => $count)
                    <div>
                        <dt>{{ ucfirst(__('outside.pace.' . $pace)) }}</dt>
                        <dd>{{ trans_choice('common.names_told', $count, ['told' => number_format($count)]) }}<span
                                class="lesser">{{ __('outside.pace_why.' . $pace) }}</span></dd>
                    </div>
                @endforeach
            </dl>
        </section>
        <section class="card" aria-labelledby="room">
            <h2 id="room">{{ __('outside.index.capacity') }}</h2>
            <dl class="facts">
                <div>
                    <dt>{{ __('outside.index.queries') }}</dt>
                    <dd>{{ $plan->questions < 1 ? __('outside.index.less_than_one') : __(
                        'outside.index.a_minute',
                        ['count' => number_format($plan->questions, $plan->questions < 10 ? 1 : 0)],
                    ) }}<span
                            class="lesser">{{ __('outside.index.limit', ['limit' => number_format($plan->limit)]) }}</span></dd>
                </div>
                <div>
                    <dt>{{ __('outside.index.sufficient') }}</dt>
                    <dd>
                        @if ($plan->fits())
                        <span class="is-good">{{ __('outside.index.yes') }}</span>@else<span
                                class="is-bad">{{ __('outside.index.no') }}</span><span
                                class="lesser">{{ __(
                                    'outside.index.queries_that_dont_fit_wait_if',
                                    ['limit' => number_format($plan->questions / max(1, $plan->limit), 1)],
                                ) }}</span>
                        @endif
                    </dd>
                </div>
                <div>
                    <dt>{{ __('outside.index.capacity') }}</dt>
                    <dd>{{ __('outside.index.names_a_day_at_one_host', ['room_for' => number_format($plan->roomFor())]) }}<span
                            class="lesser">{{ __(
                                'outside.index.50_000_names_at_one_registry',
                                ['needs' => number_format($plan->needs(50_000), 0)],
                            ) }}</span>
                    </dd>
                </div>
                <div>
                    <dt>{{ __('outside.index.due_now') }}</dt>
                    <dd>{{ trans_choice('common.names_told', $plan->due, ['told' => number_format($plan->due)]) }}</dd>
                </div>
                <div>
                    <dt>{{ __('outside.index.failed_last_time') }}</dt>
                    <dd>{{ trans_choice('common.names_told', $plan->failing, ['told' => number_format($plan->failing)]) }}</dd>
                </div>
            </dl>
        </section>
        <section class="card" aria-labelledby="hosts">
            <h2 id="hosts">{{ __('outside.index.allowed_hosts') }}</h2>
            <p class="lesser">{{ __('outside.index.only_these_hosts_are_queried') }}</p>
            <ul class="plain-list">
                @forelse ($hosts as $host)
                <li class="mono">{{ $host }}</li>@empty<li>{{ __('outside.index.none_no_host_is_listed_in_the') }}</li>
                @endforelse
            </ul>
            @if ($world !== null)
                <p class="lesser">{{ __('outside.index.simulated') }} <a href="{{ $world }}"
                        rel="noreferrer">{{ __('outside.index.simulation') }}</a></p>
            @endif
        </section>
    </div>
    @if ($plan->troubles !== [])
        <table class="sheet low">
            <caption>{{ __('outside.index.recent_failures') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('outside.index.failure') }}</th>
                    <th scope="col" class="sum">{{ __('common.names') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($plan->troubles as $reason => $count)
                    <tr>
                        <th scope="row" class="said">{{ $reason }}</th>
                        <td class="sum" data-label="{{ __('common.names') }}">{{ number_format($count) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
