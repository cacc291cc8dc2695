@inject('told', App\View\LogInWords::class)
<x-layout :title="__('log.show.log')">
    <x-settings current="log" />
    <div class="head">
        <div>
            <h1>{{ __('log.show.log') }}</h1>
            @if ($head !== null)
                <p class="sentence">{{ trans_choice('log.show.proofs', $head->proofs, ['told' => number_format($head->proofs)]) }}
                    {{ $head->closedTo === null ? __('log.show.no_day') : __('log.show.closed_to', ['day' => $head->closedTo]) }}
                    {{ trans_choice('log.show.rows', $head->rows, ['told' => number_format($head->rows)]) }} {{ __('log.show.receipt') }}
                </p>
            @endif
        </div>
        @if ($head !== null)
            <p class="head-deeds"><a class="button" href="{{ route('log.receipt', $sha256) }}">{{
                __('log.show.download_a_receipt')
            }}</a> <a
                    class="button" href="{{ route('log.stamp-request', $sha256) }}"
                    title="{{ __('log.show.for_this_receipt_to_send_to_a') }}">{{ __('log.show.time_stamp_request') }}</a></p>
        @endif
    </div>
    <form method="get" action="{{ route('log') }}" class="ask log-ask">
        <label for="l-person">{{ __('common.by') }}</label> <select id="l-person" name="person">
            <option value="">{{ __('log.show.everyone') }}</option>
            @foreach ($people as $one)
                <option value="{{ $one->id }}" @selected($person === $one->id)>{{ $one->name }}</option>
            @endforeach
        </select>
        <label for="l-event">{{ __('log.show.what') }}</label> <select id="l-event" name="event">
            <option value="">{{ __('log.show.any_finding') }}</option>
            @foreach ($events as $one)
                <option value="{{ $one }}" @selected($event === $one)>{{ $told->event($one) }}</option>
            @endforeach
        </select>
        <label for="l-q">{{ __('log.show.with') }}</label> <input id="l-q" name="q" value="{{ $text }}"
            maxlength="100" size="26" placeholder="{{ __('log.show.a_name_a_person_a_number') }}"> <button
            class="main">{{ __('common.show') }}</button>
    </form>
    @if ($faults !== [])
        <div class="told told-bad" role="alert">
            <p><strong>{{ __('log.show.broken') }}</strong> <x-sentence of="log.show.broken_what"><x-slot:command><code>./acre
                            verify</code></x-slot></x-sentence></p>
            <ul>
                @foreach ($faults as $fault)
                    <li>{{ ucfirst($fault) }}.</li>
                @endforeach
            </ul>
        </div>
    @endif
    @if ($rows === [])
        <div class="empty">
            <h2>{{ __('log.show.no_entries_match') }}</h2>
            <p><a href="{{ route('log') }}">{{ __('log.show.show_the_whole_log') }}</a></p>
        </div>
    @else
        <table class="sheet low log">
            <caption class="hide">{{ __('log.show.what_was_done_newest_first') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('common.when') }}</th>
                    <th scope="col">{{ __('common.who') }}</th>
                    <th scope="col">{{ __('common.what') }}</th>
                    <th scope="col">{{ __('log.show.subject') }}</th>
                    <th scope="col">{{ __('common.more') }}</th>
                    <th scope="col">{{ __('common.from') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($rows as $row)
                    <tr>
                        <td data-label="{{ __('common.when') }}" class="date"><time
                                datetime="{{ $row->text('at') }}">{{ Str::substr($row->text('at'), 0, 19) }}</time>
                            @if (Str::substr($row->text('trade_at'), 0, 10) !== Str::substr($row->text('at'), 0, 10))
                                <span
                                    class="lesser">{{ __(
                                        'log.show.trade_day',
                                        ['trade_at' => Str::substr($row->text('trade_at'), 0, 10)],
                                    ) }}</span>
                            @endif
                        </td>
                        <td data-label="{{ __('common.who') }}">{{ $row->textOrNull('person') ?? __('common.acre_roll') }}</td>
                        <th scope="row">{{ $told->event($row->text('event'), $row->text('subject')) }}</th>
                        <td data-label="{{ __('log.show.subject') }}">
                            @if ($row->textOrNull('ascii') !== null)
                                <a class="name" href="{{ route('names.show', $row->text('ascii')) }}">{{ $row->text('unicode') }}</a>
                            @elseif ($row->text('subject') === 'docket' && $row->intOrNull('subject_id') !== null)
                                <a
                                    href="{{ route('dockets.show', $row->int('subject_id')) }}">{{ __(
                                        'log.show.docket',
                                        ['subject_id' => $row->int('subject_id')],
                                    ) }}</a>@else{{ $row->text('subject') }} {{ $row->intOrNull('subject_id') }}
                            @endif
                        </td>
                        <td data-label="{{ __('common.more') }}">
                            @foreach ($told->more($row) as [$said, $leads])
                                @if ($leads === null)
                                <bdi class="fact">{{ $said }}</bdi>@else<a class="fact"
                                        href="{{ $leads }}">{{ $said }}</a>
                                @endif
                            @endforeach
                        </td>
                        <td data-label="{{ __('common.from') }}" class="mono date">{{ $row->textOrNull('from_address') ?? '' }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($next !== null)
            <p class="pages"><a class="button"
                    href="{{ route(
                        'log',
                        array_filter(['person' => $person, 'event' => $event, 'q' => $text, 'before' => $next]),
                    ) }}">{{ __('common.earlier') }}</a>
            </p>
        @endif
    @endif
</x-layout>
