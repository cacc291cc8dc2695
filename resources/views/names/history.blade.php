@inject('told', App\View\LogInWords::class)
<x-layout :title="__('names.history.title', ['name' => $name->unicode])" area="Roll">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a> / <a
            href="{{ route('names.show', $name) }}">{{ $name->unicode }}</a></nav>
    <h1>{{ __('names.history.heading') }} <span class="name">{{ $name->unicode }}</span></h1>
    @if ($page->consents !== [])
        <section class="card" aria-labelledby="consents">
            <h2 id="consents">{{ __('names.history.consents') }}</h2>
            <dl class="facts facts-wide">
                @foreach ($page->consents as $row)
                    <div>
                        <dt>{{ App\Support\Dates::exact($row->instant('answered_on') ?? $row->instant('asked_on')) }}</dt>
                        <dd>{{ __('names.history.side.' . $row->text('side')) }},
                            <bdi>{{ $row->textOrNull('who') ?? $row->text('mailbox') }}</bdi>: <strong
                                @class(['is-bad' => $row->boolOrNull('agreed') === false])>{{ __(
                                    'names.history.agreed.' . match ($row->boolOrNull('agreed')) {
                                        true => 'yes',
                                        false => 'no',
                                        null => 'open',
                                    },
                                ) }}</strong>
                            @if (($row->textOrNull('words') ?? '') !== '')
                                <bdi>“{{ $row->text('words') }}”</bdi>
                            @endif
                            <span class="lesser">
                                {{ __(
                                    'names.history.asked',
                                    ['mailbox' => $row->text('mailbox'), 'at' => App\Support\Dates::exact($row->instant('asked_on'))],
                                ) }}</span>
                        </dd>
                        <dd><a
                                href="{{ route('dockets.show', $row->int('docket_id')) }}">{{ __(
                                    'names.history.docket',
                                    ['docket_id' => $row->int('docket_id')],
                                ) }}</a>
                        </dd>
                    </div>
                @endforeach
            </dl>
        </section>
    @endif
    @if ($page->registrants !== [])
        <section class="card apart" aria-labelledby="registrants">
            <h2 id="registrants">{{ __('names.history.registrants') }}</h2>
            <dl class="facts facts-wide">
                @foreach ($page->registrants as $row)
                    <div>
                        <dt>{{ $row->instant('since') === null
                            ? __('names.history.ever')
                            : App\Support\Dates::exact($row->instant('since')) }}
                        </dt>
                        <dd><a href="{{ route('contacts.show', $row->int('contact_id')) }}"><bdi>{{ $row->text('called') }}</bdi></a>
                            @if ($row->textOrNull('address') !== null)
                                <span class="mono">{{ $row->text('address') }}</span>
                            @endif
                            <span class="lesser">
                                {{ $words->sayOr(
                                    'names.history.from.' . str_replace(' ', '_', $row->text('source')),
                                    __('names.history.source', ['source' => $row->text('source')]),
                                ) }}{{ $row->instant('until') === null ? '' : '; ' . __(
                                    'names.history.until',
                                    ['at' => App\Support\Dates::exact($row->instant('until'))],
                                ) }}</span>
                        </dd>
                        <dd>
                            @if ($row->intOrNull('docket_id') !== null)
                                <a
                                    href="{{ route('dockets.show', $row->int('docket_id')) }}">{{ __(
                                        'names.history.docket',
                                        ['docket_id' => $row->int('docket_id')],
                                    ) }}</a>
                            @endif
                        </dd>
                    </div>
                @endforeach
            </dl>
        </section>
    @endif
    @if ($page->rows === [])
        <div class="empty apart">
            <p>{{ __('names.history.none') }}</p>
        </div>
    @else
        <table class="sheet low log apart">
            <caption class="hide">{{ __('names.history.caption') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('common.when') }}</th>
                    <th scope="col">{{ __('common.who') }}</th>
                    <th scope="col">{{ __('common.what') }}</th>
                    <th scope="col">{{ __('names.history.before_and_after') }}</th>
                    <th scope="col">{{ __('common.why') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($page->rows as $row)
                    <tr>
                        <td data-label="{{ __('common.when') }}" class="date"><time
                                datetime="{{ $row->text('trade_at') }}">{{ App\Support\Dates::exact($row->instant('trade_at')) }}</time>
                        </td>
                        <td data-label="{{ __('common.who') }}">{{ $row->textOrNull('person') ?? __('common.acre_roll') }}</td>
                        <th scope="row">{{ $told->event($row->text('event'), 'name') }}</th>
                        <td data-label="{{ __('names.history.before_and_after') }}">
                            @foreach ($told->change($row) as [$said, $leads])
                                @if ($leads === null)
                                <bdi class="fact">{{ $said }}</bdi>@else<a class="fact"
                                        href="{{ $leads }}">{{ $said }}</a>
                                @endif
                            @endforeach
                        </td>
                        <td data-label="{{ __('common.why') }}"><bdi>{{ $told->why($row) ?? '' }}</bdi></td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($page->next !== null)
            <p class="pages"><a class="button"
                    href="{{ route('names.history', [$name, 'before' => $page->next]) }}">{{ __('common.earlier') }}</a></p>
        @endif
    @endif
</x-layout>
