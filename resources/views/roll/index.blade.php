<x-layout :title="__('common.the_roll')" area="Roll">
    @inject('current', App\View\CurrentSheaf::class)
    @php($sheaf = $current->get())
    <div class="head">
        <h1>{{ __('common.the_roll') }}</h1>
        <div class="head-deeds">
            @can('prepare')
                <a href="{{ route('names.create') }}">{{ __('names.add.title') }}</a> <a
                    href="{{ route('imports.create') }}">{{ __('roll.index.import_names') }}</a>
            @endcan
            @if ($views->isNotEmpty())
                <details class="menu">
                    <summary class="link">{{ $view?->name ?? __('roll.index.views') }}</summary>
                    <div class="menu-sheet views">
                        @foreach ($views as $one)
                            <p><a href="{{ route('roll', [...$one->sentence['words'], 'view' => $one->id]) }}"
                                    @if ($view?->id === $one->id) aria-current="true" @endif>{{ $one->name }}</a>
                                @if ($one->user_id !== auth()->id())
                                    <span class="lesser">{{ __('roll.index.s', ['user' => $one->user->name]) }}</span>
                                @elseif ($one->shared)
                                    <span class="lesser">{{ __('roll.index.shared') }}</span>
                                @endif
                                @can('delete', $one)
                                <form method="post" action="{{ route('roll.views.destroy', $one) }}">@csrf @method('delete')<button
                                        class="plain"
                                        aria-label="{{
                                            __('roll.index.delete_the_view', ['one' => $one->name])
                                        }}">{{ __('roll.index.delete') }}</button>
                                </form>
                            @endcan
                            </p>
                        @endforeach
                    </div>
                </details>
            @endif
            <details class="menu">
                <summary class="link">{{ __('roll.index.columns') }}</summary>
                <div class="menu-sheet">
                    <form method="post" action="{{ route('roll.looks') }}" class="ticks">
                        @csrf @include('roll.sentence')
                        @foreach (App\View\RollColumn::cases() as $column)
                            <label><input type="checkbox" name="columns[]" value="{{ $column->value }}" @checked($looks->has($column))>
                                {{ __('roll.column.' . $column->value) }}</label>
                        @endforeach
                        <label class="apart"><input type="checkbox" name="compact" value="1" @checked($looks->compact)>
                            {{ __('roll.index.compact_rows') }}</label>
                        <p><button>{{ __('roll.index.apply') }}</button></p>
                    </form>
                </div>
            </details>
        </div>
    </div>
    <div class="sentence">
        @php($chosen = fn(array $rows, ?int $id): ?App\Support\Row => $id !== null && $rows !== [] && $rows[0]->int('id') === $id
            ? $rows[0]
            : null)
        @php([$client, $registrar, $account] = [
            $chosen($clients, $filter->client),
            $chosen($registrars, $filter->registrar),
            $chosen($accounts, $filter->account),
        ])
        @php($told = fn(string $key, int $count): string => trans_choice('roll.count.' . $key, $count, ['told' => number_format($count)]))
        @php($held = $page->count - ($page->watched ?? 0))
        @if ($page->more)
            <strong>{{ __('roll.count.more', ['told' => number_format($page->count)]) }}</strong> {{ __('roll.index.for') }}
        @elseif ($page->count === 0)
            <strong>{{ __('roll.count.none') }}</strong> {{ __('roll.index.held_for') }}
        @elseif ($held === 0)
            <strong>{{ $told('only', $page->count) }}</strong> {{ __('roll.index.for') }}
        @elseif ($page->watched > 0)
            <strong>{{ $told('held', $held) }}</strong> {{ __('roll.index.held') }} {{ $told('and_watched', $page->watched) }}
            {{ __('roll.index.for') }}
        @else<strong>{{ $told('held', $held) }}</strong> {{ __('roll.index.held_for') }}
        @endif
        <x-word :label="$client?->text('name') ?? __('roll.index.every')">
            <a href="{{ $filter->address(['client' => null]) }}"
                @if ($filter->client === null) aria-current="true" @endif>{{ __('roll.index.every') }}</a>
            @foreach ($clients as $one)
                <a href="{{ $filter->address(['client' => $one->int('id')]) }}"
                    @if ($one->int('id') === $filter->client) aria-current="true" @endif>{{ $one->text('name') }}</a>
            @endforeach
            @if (count($clients) === $listed)
                <p class="lesser">{{ __('roll.index.search_to_find_the_others') }}</p>
            @endif
        </x-word>
        {{ __('roll.index.at') }}
        <x-word :label="$account !== null
            ? __('roll.index.account_number', ['number' => $account->text('number')])
            : $registrar?->text('name') ?? __('roll.index.every_registrar')">
            <a href="{{ $filter->address(['registrar' => null, 'account' => null]) }}"
                @if ($filter->registrar === null && $filter->account === null) aria-current="true" @endif>{{
                    __('roll.index.every_registrar')
                }}</a>
            @foreach ($registrars as $one)
                <a href="{{ $filter->address(['registrar' => $one->int('id'), 'account' => null]) }}"
                    @if ($one->int('id') === $filter->registrar) aria-current="true" @endif><strong>{{ $one->text('name') }}</strong></a>
                @foreach ($accounts as $each)
                    @if ($each->int('registrar_id') === $one->int('id'))
                        <a class="inner" href="{{ $filter->address(['account' => $each->int('id'), 'registrar' => null]) }}"
                            @if ($each->int('id') === $filter->account) aria-current="true" @endif>{{ __(
                                'roll.index.account',
                                ['number' => $each->text('number')],
                            ) }}</a>
                    @endif
                @endforeach
            @endforeach
            @if (count($accounts) === $listed)
                <p class="lesser">{{ __('roll.index.search_to_find_the_other') }}</p>
            @endif
        </x-word>,
        <x-word :label="$filter->endsIn === null
            ? __('roll.ending.' . $filter->ending->value)
            : __('roll.ends_in', ['days' => App\View\FacetWord::days($filter->endsIn, $words)])">
            @foreach (App\Queries\Roll\Ending::cases() as $one)
                <a href="{{ $filter->address(['ending' => $one === App\Queries\Roll\Ending::Any ? null : $one->value]) }}"
                    @if ($one === $filter->ending && $filter->endsIn === null) aria-current="true" @endif>{{
                        __('roll.ending.' . $one->value)
                    }}</a>
            @endforeach
            <form class="ask" action="{{ route('roll') }}">
                @include('roll.sentence', ['without' => 'ending'])
                <label for="ends-from">{{ __('roll.ends_from') }}</label> <input type="date" id="ends-from" name="ends_from"
                    value="{{ $filter->endsIn?->from?->date() }}">
                <label for="ends-to">{{ __('roll.to') }}</label> <input type="date" id="ends-to" name="ends_to"
                    value="{{ $filter->endsIn?->to?->date() }}">
                <button>{{ __('roll.narrow_days') }}</button>
            </form>
        </x-word>,
        <x-word :label="__('roll.sort.' . $filter->sort->value)">
            @foreach (App\Queries\Roll\Sort::cases() as $one)
                <a href="{{ $filter->address(['sort' => $one === App\Queries\Roll\Sort::Next ? null : $one->value]) }}"
                    @if ($one === $filter->sort) aria-current="true" @endif>{{ __('roll.sort.' . $one->value) }}</a>
            @endforeach
            <form class="ask" action="{{ route('roll') }}">
                @include('roll.sentence')
                <label for="from">{{ __('roll.index.from') }}</label> <input id="from" name="from" value="{{ $filter->from }}"
                    maxlength="63" required @if ($filter->sort === App\Queries\Roll\Sort::Name) placeholder="m" size="8"
                    @else type="date" @endif>
                <button>{{ __('roll.index.go') }}</button>
            </form>
        </x-word>@foreach ($facets as $facet), <strong>{{ $facet->told }}</strong>
            (<a href="{{ $facet->without }}">{{ __('roll.index.without') }}</a>)@endforeach
        <x-word :label="__('roll.index.and')">
            <form class="narrow-form" action="{{ route('roll') }}">
                @foreach (array_diff_key($filter->words(), $filter->facets) as $word => $value)
                    <input type="hidden" name="{{ $word }}" value="{{ $value }}">
                @endforeach
                @foreach (collect(App\Queries\Roll\Facet::cases())->filter->isChosen()->sortBy(
                    fn(App\Queries\Roll\Facet $facet): bool => $facet->isWritten(),
                ) as $facet)
                    @include('roll.facet')
                @endforeach
                <p><button class="main">{{ __('common.show') }}</button></p>
            </form>
        </x-word>
        @if ($page->sums !== null && $words->sums($page->sums, 'roll.sums') !== null)
            <span class="lesser">{{ $words->sums($page->sums, 'roll.sums') }}</span>
        @endif
        @if ($page->count > 0)
            <span class="sentence-deeds">
                @can('prepare')
                    <form method="post" action="{{ route('sheaf.all') }}">@csrf @include('roll.sentence')<button
                            class="plain">{{ $page->more ? __('roll.index.select_all') : __(
                                'roll.index.select_all_of',
                                ['told' => number_format($page->count)],
                            ) }}</button>
                    </form>
                @endcan
                <details class="menu word">
                    <summary>{{ __('roll.index.export') }}</summary>
                    <div class="menu-sheet">
                        @foreach (__('roll.index.formats') as $kind => $as)
                            <a href="{{ route('roll.export', [$kind, ...$filter->words()]) }}">{{ $as }}</a>
                        @endforeach
                        <a href="{{ route('roll.calendar', $filter->words()) }}">{{ __('roll.index.calendar') }}</a>
                        <form method="post" action="{{ route('roll.subscribe') }}">@csrf @include('roll.sentence')<p>
                                <button>{{ __('roll.index.create_a_calendar_link') }}</button></p>
                        </form>
                        <a href="{{ route('calendars') }}">{{ __('roll.index.my_calendar_links') }}</a>
                    </div>
                </details>
                <details class="menu word">
                    <summary>{{ __('roll.index.save_this_view') }}</summary>
                    <div class="menu-sheet">
                        <form method="post" action="{{ route('roll.views.store') }}">
                            @csrf @include('roll.sentence')
                            <x-field name="name" :label="__('roll.index.name_of_the_view')" id="view-name" maxlength="80" required />
                            <p><label><input type="checkbox" name="shared" value="1">
                                    {{ __('roll.index.share_with_everyone_here') }}</label></p>
                            <p><button>{{ __('common.save') }}</button></p>
                        </form>
                    </div>
                </details>
            </span>
        @endif
    </div>
    @if ($filter->from !== '' && !$filter->isStarted())
        <p class="wrong" role="alert">{{ __('roll.no_start', ['given' => $filter->from]) }}</p>
    @endif
    @foreach ($filter->unread as $given)
        <p class="wrong" role="alert">{{ __('roll.no_days', ['given' => $given]) }}</p>
    @endforeach
    @if ($rows === [])
        <div class="empty">
            @if ($filter->isStarted() && $page->count > 0)
                <h2>{{ __('roll.index.no_names_this_far_down') }}</h2>
                <p><a href="{{ $filter->address() }}">{{ __('roll.index.back_to_the_first') }}</a>.</p>
            @elseif ($filter->isNarrowed() || $filter->after !== null)
                <h2>{{ __('roll.index.no_names_match') }}</h2>
                <p>{{ __('roll.index.nothing_what') }} <a href="{{ route('roll') }}">{{ __('roll.index.all_names') }}</a></p>
            @else
                <h2>{{ __('roll.index.nothing_is_on_the_roll_yet') }}</h2>
                <p>{{ __('roll.index.the_roll_is_the_inventory') }}</p>
                @can('prepare')
                    <p><a class="button main" href="{{ route('imports.create') }}">{{ __('roll.index.import_names_from_a') }}</a></p>
                @endcan
            @endif
        </div>
    @else
        <form method="post" action="{{ route('sheaf.add') }}" id="ticks">
            @csrf
            <table @class([
                'sheet',
                'roll',
                'roll-close' => $looks->compact,
                'roll-more' => count($looks->written()) > 0,
                'roll-most' => count($looks->written()) > 2,
            ])>
                <caption class="hide">{{ __('roll.index.names', ['value' => __('roll.sort.' . $filter->sort->value)]) }}</caption>
                <thead>
                    <tr>
                        <th class="c-tick" scope="col"><input type="checkbox" data-tick-all
                                aria-label="{{ __('roll.index.select_every_name_on_this_page') }}"></th>
                        <th class="c-name" scope="col">{{ __('roll.index.name_and') }}</th>
                        <th class="c-held" scope="col">{{ __('common.registrar_and_account') }}</th>
                        @foreach ($looks->written() as $column)
                            <th class="c-more" scope="col">{{ __('roll.column.' . $column->value) }}</th>
                        @endforeach
                        @if ($looks->has(App\View\RollColumn::Line))
                            <th class="c-line" scope="col"><span class="hide">{{ __('common.life_line') }}</span><x-axis
                                    :axis="$axis" :today="$today" /></th>
                        @endif
                        <th class="c-next" scope="col">{{ __('common.next') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @include('roll.rows', ['todayAt' => $axis->at($today), 'line' => $looks->has(App\View\RollColumn::Line)])
                </tbody>
            </table>
            @can('prepare')
                <noscript>
                    <p class="turn"><button>{{ __('roll.index.add_the_selected_names_to_the') }}</button></p>
                </noscript>
            @endcan
        </form>
        <nav class="turn" aria-label="{{ __('common.pages') }}">
            @if ($filter->after !== null || $filter->isStarted())
                <a href="{{ $filter->address() }}">{{ __('roll.index.back_to_the_first_names') }}</a>
            @endif
            @if ($page->next !== null)
                <a href="{{ $filter->address(['after' => $page->next]) }}"
                    rel="next">{{ __('roll.index.next', ['value' => config('house.roll_page')]) }}</a>
            @endif
        </nav>
    @endif
</x-layout>
