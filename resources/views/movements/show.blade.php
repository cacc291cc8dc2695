@php($next = $read->track->now())
@php($open = array_values(array_filter($read->track->legs, fn($leg) => $leg->isNow)))
@php($said = fn($leg): string => $words->say('movements.leg.' . $leg->leg->kind->value))
<x-layout :title="__('movements.title', ['name' => $movement->name->unicode])" area="Movements">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('movements.index') }}">{{ __('common.movements') }}</a> / <a
            href="{{ route('dockets.show', $movement->docket_id) }}">{{ __('deeds.show.docket', ['integer' => $movement->docket_id]) }}</a>
    </nav>
    <div class="head">
        <div>
            <h1><a class="name" href="{{ route('names.show', $movement->name) }}">{{ $movement->name->unicode }}</a>
                @if ($from !== null && $to !== null)
                    <span class="way"><x-sentence of="movements.from_to">
                            <x-slot:from><strong>{{ $from->registrar->name }}</strong></x-slot>
                            <x-slot:to><strong>{{ $to->registrar->name }}</strong></x-slot>
                        </x-sentence></span>
                @endif
            </h1>
            <p class="sentence">{{ match (true) {
                $movement->closed_on !== null && $line->state !== App\Models\LineState::Done => __('movements.sentence.stayed', [
                    'day' => App\Support\Dates::full($movement->closed_on),
                ]),
                $movement->closed_on !== null => __('movements.sentence.arrived', ['day' => App\Support\Dates::full($movement->closed_on)])
                    . ' ' . ($open === [] ? __('movements.sentence.done') : __('movements.sentence.after', [
                        'what' => implode(', ', array_map(fn($leg) => lcfirst($said($leg)), $open)),
                    ])),
                $next === null => __('movements.sentence.done'),
                $next->isLate($now) => __('movements.sentence.late', [
                    'latest' => App\Support\Dates::full($next->leg->by),
                    'what' => lcfirst($said($next)),
                    'whom' => ucfirst($words->say('movements.actor.' . $next->leg->actor->value)),
                ]),
                default => __('movements.sentence.waits', [
                    'whom' => $words->say('movements.whom.' . $next->leg->actor->value),
                    'what' => lcfirst($said($next)),
                    'likely' => App\Support\Dates::full($next->until),
                    'latest' => App\Support\Dates::full($next->latest),
                ]),
            } }}</p>
        </div>
        @if ($movement->closed_on === null)
            <div class="head-deeds"><a class="button" href="{{ route('dockets.show', $movement->docket_id) }}">{{
                __('movements.call_off')
            }}</a></div>
        @endif
    </div>
    <section class="card track drawing" aria-labelledby="track-h" tabindex="0">
        <h2 id="track-h" class="hide">{{ __('movements.steps') }}</h2>
        <svg viewBox="0 0 {{ App\View\TrackDrawing::WIDTH }} {{ $drawing->height }}" aria-hidden="true" focusable="false">
            @foreach ($drawing->weekends as $x)
                <rect class="w-weekend" x="{{ $x }}" y="24" width="{{ $drawing->day }}" height="{{ $drawing->height - 28 }}" />
            @endforeach
            @foreach ($drawing->days as $day)
                <text class="d-label" x="{{ $day['x'] }}" y="14" text-anchor="middle">{{ $day['text'] }}</text>
            @endforeach
            @foreach ($drawing->bars as $bar)
                <text class="{{ ['now' => 'd-label-flag', 'done' => 'd-label-strong'][$bar['state']] ?? 'd-label' }}" x="2"
                    y="{{ $bar['y'] + 8 }}">{{ $said($bar['leg']) }}</text>
                <text class="d-label-small" x="2" y="{{ $bar['y'] + 22 }}">{{ $words->say(
                    'movements.actor.' . $bar['leg']->leg->actor->value,
                ) }}</text>
                <rect class="t-{{ $bar['state'] }}" x="{{ $bar['x'] }}" y="{{ $bar['y'] }}" width="{{ $bar['width'] }}"
                    height="{{ App\View\TrackDrawing::barHeight() }}" />
                @if ($bar['state'] === 'done')
                    <path class="t-tick" d="M{{ $bar['x'] + $bar['width'] - 12 }} {{ $bar['y'] + 8 }}l3 4 6 -8" />
                @elseif ($bar['tail'] > 0)
                    <rect class="t-tail" x="{{ $bar['x'] + $bar['width'] }}" y="{{ $bar['y'] + 4 }}" width="{{ $bar['tail'] }}"
                        height="{{ App\View\TrackDrawing::barHeight() - 8 }}" />
                @endif
            @endforeach
            @if ($drawing->today !== null)
                <line class="d-today" x1="{{ $drawing->today }}" x2="{{ $drawing->today }}" y1="20" y2="{{ $drawing->height - 2 }}" />
            @endif
        </svg>
        <table class="hide">
            <caption>{{ __('movements.steps') }}</caption>
            @foreach ($read->track->legs as $leg)
                <tr>
                    <th scope="row">{{ $said($leg) }}</th>
                    <td>{{ $words->say('movements.actor.' . $leg->leg->actor->value) }}</td>
                    <td>{{ App\Support\Dates::full($leg->until) }}</td>
                    <td>{{ $leg->isDone ? __('words.line_state.done') : ($leg->isNow ? __('words.line_state.moving') : '') }}</td>
                </tr>
            @endforeach
        </table>
    </section>
    <div class="cards">
        <section class="card" aria-labelledby="changes-h">
            <h2 id="changes-h">{{ __('movements.changes') }}</h2>
            <table class="ruled">
                <thead>
                    <tr>
                        <td></td>
                        <th scope="col">{{ __('movements.before') }}</th>
                        <th scope="col">{{ __('movements.after') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @if (isset($line->after['ends']))
                        <tr>
                            <th scope="row">{{ __('movements.ends') }}</th>
                            <td>{{ $line->before['ends'] ?? '' }}</td>
                            <td>{{ $line->after['ends'] }}</td>
                        </tr>
                    @endif
                    <tr>
                        <th scope="row">{{ __('common.account') }}</th>
                        <td>{{ $line->before['account'] ?? '' }}</td>
                        <td>{{ $line->after['account'] ?? '' }}</td>
                    </tr>
                    <tr>
                        <th scope="row">{{ __('movements.registrant') }}</th>
                        <td><bdi>{{ $file?->registrant }}</bdi></td>
                        <td>{{ $line->after['registrant'] ?? __('movements.same') }}</td>
                    </tr>
                    @if ($file !== null && $file->servers !== [])
                        <tr>
                            <th scope="row">{{ __('movements.servers') }}</th>
                            <td class="mono">{{ $file->servers[0] }}{{ count($file->servers) > 1 ? ' …' : '' }}</td>
                            <td>{{ __('movements.same') }}</td>
                        </tr>
                    @endif
                    @if (isset($line->after['costs']))
                        <tr>
                            <th scope="row">{{ __('movements.costs') }}</th>
                            <td></td>
                            <td>{{ __('movements.with_tax', ['sum' => $line->after['costs']]) }}</td>
                        </tr>
                    @endif
                </tbody>
            </table>
        </section>
        <section class="card" aria-labelledby="acts-h">
            <h2 id="acts-h">{{ __('movements.who_acts') }}</h2>
            @forelse ($open as $leg)
                <p><strong>{{ ucfirst($words->say('movements.actor.' . $leg->leg->actor->value)) }}</strong>: {{ lcfirst(
                    $words->sayOr('movements.do.' . $leg->leg->kind->value, $words->say('words.leg.' . $leg->leg->kind->value . '.do')),
                ) }}, {{ __('movements.by', ['day' => App\Support\Dates::full($leg->latest)]) }}.
                    <span class="lesser">{{ __('movements.otherwise', [
                        'what' => $words->sayOr(
                            'movements.otherwise_of.' . $leg->leg->kind->value,
                            $words->say('words.leg.' . $leg->leg->kind->value . '.otherwise'),
                        ),
                    ]) }}</span></p>
            @empty
                <p>{{ __('movements.nobody') }}</p>
            @endforelse
        </section>
        <section class="card" aria-labelledby="dark-h">
            <h2 id="dark-h">{{ __('movements.dark') }}</h2>
            @if ($own === true)
                <p><strong class="is-soon">{{ __('movements.is_dark') }}</strong> {{ __('movements.dark_because', [
                    'registrar' => $from->registrar->name,
                ]) }}</p>
            @elseif ($from !== null)
                <p>{{ __($own === false ? 'movements.not_dark' : 'movements.dark_not_known', ['registrar' => $from->registrar->name]) }}</p>
            @endif
            @if ($compared !== null)
                <p>{{ $compared->losses() === []
                    ? __('movements.zone_same', ['count' => $compared->same])
                    : trans_choice('movements.zone_lost', count($compared->losses()), ['count' => count($compared->losses())]) }}</p>
            @endif
            <p>{{ $zone === null
                ? __('movements.not_kept')
                : __('movements.kept', ['count' => $zone->records, 'day' => App\Support\Dates::full($zone->at)]) }}
                <a class="in-text" href="{{ route('names.zones', $movement->name) }}">{{ __('movements.see_zone') }}</a></p>
        </section>
    </div>
</x-layout>
