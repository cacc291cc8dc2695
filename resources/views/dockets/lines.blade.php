{{-- Name by name: how far it is, and the ticks. --}}
<form method="post" action="{{ route('dockets.tick', $docket) }}" id="tick">
    @csrf
    <table class="sheet">
        <caption class="hide">{{ __('dockets.show.names_in_this_docket') }}</caption>
        <thead>
            <tr>
                @can('tick', $docket)
                    <th class="c-tick" scope="col">
                        @if ($progress->begun > 0 && $slip !== null && $slip->lots !== [] && $tickable !== [])
                        <input type="checkbox" data-tick-all aria-label="{{ __('dockets.show.select_every_open_name') }}">@else<span
                                class="hide">{{ __('common.select') }}</span>
                        @endif
                    </th>
                @endcan
                <th scope="col">
                    {{ __('common.name') }}</th>
                <th scope="col">{{ __('dockets.show.state') }}</th>
                <th scope="col">{{ __('common.from') }}</th>
                <th scope="col">{{ __('dockets.show.to') }}</th>
                <th scope="col">{{ __('dockets.show.when_or_why_not') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($lines as $line)
                <tr>
                    @can('tick', $docket)
                        <td class="c-tick">
                            @if (
                                $line->state === App\Models\LineState::Begun && !$asked
                                    && ($tickable === null ? $line->order === null : in_array($line->id, $tickable, true))
                                    && !$line->has_open_word
                            )
                                <input type="checkbox" name="lines[]" value="{{ $line->id }}"
                                    aria-label="{{ __('dockets.show.select', ['unicode' => $line->name->unicode]) }}"
                                    @checked(in_array((string) $line->id, (array) old('lines', []), true))>
                            @endif
                        </td>
                    @endcan
                    <th scope="row"><a class="name" href="{{ route('names.show', $line->name) }}">{{ $line->name->unicode }}</a>
                    </th>
                    <td class="c-state"><span
                            class="{{ [
                                'done' => 'is-good',
                                'stopped' => 'is-bad',
                                'refused' => 'is-bad',
                                'begun' => 'is-move',
                            ][$line->state->value] ?? '' }}">{{ $words->say(
                                'words.line_state.' . ($line->state !== App\Models\LineState::Begun ? $line->state->value
                                    : (isset($movements[$line->name_id]) ? 'moving'
                                    : ($line->order !== null ? 'by_' . $line->givingAccount?->registrar->link : ($asked ? 'asked'
                                        : ($line->has_open_word ? 'unheard' : 'begun'))))),
                            ) }}</span>
                    </td>
                    <td data-label="{{ __('common.from') }}">
                        @if (isset($line->before['servers']))
                            @include('deeds.changed', ['of' => $line->before])
                        @else
                            {{ $line->before['account'] ?? $people->named(collect($line->before)->first()) }}@endif<span
                            class="lesser">{{ isset($line->before['account']) ? $line->before['client'] ?? '' : '' }}</span></td>
                    <td data-label="{{ __('dockets.show.to') }}">
                        @if (isset($line->after['servers']))
                            @include('deeds.changed', ['of' => $line->after])
                        @else
                            {{ $line->after['account'] ?? $people->named(collect($line->after)->first()) }}@endif<span
                            class="lesser">{{ isset($line->after['account']) ? $line->after['client'] ?? '' : '' }}</span>
                        @isset($line->after['costs'])
                            <span class="lesser">{{ __('movements.with_tax', ['sum' => $line->after['costs']]) }}</span>
                        @endisset
                    </td>
                    <td>
                        @isset($movements[$line->name_id])
                            @include('movements.waits', ['read' => $movements[$line->name_id], 'words' => $words])
                        @endisset
                        @if ($line->state === App\Models\LineState::Begun && isset($movements[$line->name_id]))
                        @elseif ($line->state === App\Models\LineState::Begun && $line->order !== null)
                            {{
                                __('outside.order.' . App\View\OrderWord::of($line->order))
                            }}@if ($line->order->answer !== null && $line->order->state !== App\Models\OrderState::Pending)
                                <span class="lesser"><bdi>{{ $line->order->answer }}</bdi></span>
                            @endif
                        @elseif ($line->done_on !== null)
                            {{
                                App\Support\Dates::full($line->done_on)
                            }}@if (
                                $ticked && $undoable && $line->done_by !== null
                                    && $line->order?->state !== App\Models\OrderState::Done && $line->seen_on === null
                            )
                                @can('prepare')
                                    <a class="in-text lesser"
                                        href="{{ route(
                                            'deeds.show',
                                            ['undo_docket', 'docket' => $docket->id, 'name' => $line->name->ascii],
                                        ) }}">{{ __('dockets.not_done') }}</a>
                                @endcan
                                @endif @if ($line->seen_on !== null)
                                    <span
                                        class="lesser">{{ __(
                                            'dockets.show.shown_in_the_directory_on',
                                            ['seen_on' => App\Support\Dates::full($line->seen_on)],
                                        ) }}</span>
                                @endif
                                @if ($line->reason !== null)
                                    <span class="reason is-bad"><bdi>{{ $line->reason }}</bdi></span>
                                @endif
                                @if (isset($watches[$line->id]))
                                    @include('servers.watched', ['watched' => $watches[$line->id]])
                                @endif
                            @elseif ($line->reason !== null)
                                {{ $line->reason }}
                            @elseif ($line->state === App\Models\LineState::Prepared)
                                @php($had = array_map(
                                    fn(array $one): string => $one['key'] ?? '',
                                    $line->findings,
                                ))@foreach ($judged[$line->name_id] ?? [] as $finding)
                                    <span @class([
                                        'reason',
                                        'is-bad' => $finding->effect !== Acre\Core\Finding\Effect::Worth,
                                    ])>
                                        @if (!in_array($finding->key(), $had, true))
                                            {{ __('dockets.since') }}
                                        @endif{{ $words->finding($finding) }}.
                                    </span>
                                @endforeach
                            @else
                                @foreach ($line->findings as $finding)
                                    @if ($line->state === App\Models\LineState::Stopped && in_array(
                                        $finding['effect'] ?? '',
                                        ['stops', 'delays', 'not_known'],
                                        true,
                                    ))
                                        <span class="reason">{{ $words->stored($finding) }}.</span>
                                    @endif
                                @endforeach
                            @endif
                            @if (isset($recordWatches[$line->id]))
                                @include('servers.said', ['watched' => $recordWatches[$line->id]])
                            @endif
                            @foreach ($sitesOfLines[$line->id] ?? [] as $read)
                                @include('hosting.watched')
                            @endforeach
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
    {{ $lines->links('components.pages') }}
</form>
