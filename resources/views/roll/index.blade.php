<x-layout title="The Roll" area="Roll">
    @inject('current', App\View\CurrentSheaf::class)
    @php($sheaf = $current->get())
    <div class="head">
        <h1>The Roll</h1>
        <div class="head-deeds">
            @can('prepare')<a href="{{ route('names.create') }}">{{ __('names.add.title') }}</a> <a href="{{ route('bring-in.create') }}">Bring names in</a>@endcan
            @if ($views->isNotEmpty())
                <details class="menu"><summary class="link">{{ $view?->name ?? 'Views' }}</summary>
                    <div class="menu-sheet views">
                        @foreach ($views as $one)
                            <p><a href="{{ route('roll', [...$one->sentence['words'], 'view' => $one->id]) }}" @if ($view?->id === $one->id) aria-current="true" @endif>{{ $one->name }}</a>
                                @if ($one->user_id !== auth()->id())<span class="lesser">{{ $one->user->name }}’s</span>@elseif ($one->shared)<span class="lesser">shared</span>@endif
                                @can('delete', $one)<form method="post" action="{{ route('roll.views.destroy', $one) }}">@csrf @method('delete')<button class="plain" aria-label="Keep {{ $one->name }} no longer">Let go</button></form>@endcan
                            </p>
                        @endforeach
                    </div>
                </details>
            @endif
            <details class="menu"><summary class="link">Columns</summary>
                <div class="menu-sheet">
                    <form method="post" action="{{ route('roll.looks') }}" class="ticks">
                        @csrf @include('roll.sentence')
                        @foreach (App\View\RollColumn::cases() as $column)
                            <label><input type="checkbox" name="columns[]" value="{{ $column->value }}" @checked($looks->has($column))> {{ __('roll.column.'.$column->value) }}</label>
                        @endforeach
                        <label class="apart"><input type="checkbox" name="compact" value="1" @checked($looks->compact)> Rows close together</label>
                        <p><button>Show them so</button></p>
                    </form>
                </div>
            </details>
        </div>
    </div>
    <div class="sentence">
        @php($chosen = fn (array $rows, ?int $id): ?App\Support\Row => $id !== null && $rows !== [] && $rows[0]->int('id') === $id ? $rows[0] : null)
        @php([$client, $registrar, $account] = [$chosen($clients, $filter->client), $chosen($registrars, $filter->registrar), $chosen($accounts, $filter->account)])
        @php($told = fn (string $key, int $count): string => trans_choice('roll.count.'.$key, $count, ['told' => number_format($count)]))
        @php($held = $page->count - ($page->watched ?? 0))
        @if ($page->more)<strong>{{ __('roll.count.more', ['told' => number_format($page->count)]) }}</strong> for
        @elseif ($page->count === 0)<strong>{{ __('roll.count.none') }}</strong> held for
        @elseif ($held === 0)<strong>{{ $told('only', $page->count) }}</strong> for
        @else<strong>{{ $told('held', $held) }}</strong> held{{ $page->watched > 0 ? ' '.$told('and_watched', $page->watched) : '' }} for
        @endif
        <x-word :label="$client?->text('name') ?? __('every :served')">
            <a href="{{ $filter->address(['client' => null]) }}" @if ($filter->client === null) aria-current="true" @endif>{{ __('every :served') }}</a>
            @foreach ($clients as $one)
                <a href="{{ $filter->address(['client' => $one->int('id')]) }}" @if ($one->int('id') === $filter->client) aria-current="true" @endif>{{ $one->text('name') }}</a>
            @endforeach
            @if (count($clients) === $listed)<p class="lesser">The search finds the others.</p>@endif
        </x-word>
        at
        <x-word :label="$account !== null ? 'account '.$account->text('number') : ($registrar?->text('name') ?? 'every registrar')">
            <a href="{{ $filter->address(['registrar' => null, 'account' => null]) }}" @if ($filter->registrar === null && $filter->account === null) aria-current="true" @endif>every registrar</a>
            @foreach ($registrars as $one)
                <a href="{{ $filter->address(['registrar' => $one->int('id'), 'account' => null]) }}" @if ($one->int('id') === $filter->registrar) aria-current="true" @endif><strong>{{ $one->text('name') }}</strong></a>
                @foreach ($accounts as $each)
                    @if ($each->int('registrar_id') === $one->int('id'))<a class="inner" href="{{ $filter->address(['account' => $each->int('id'), 'registrar' => null]) }}" @if ($each->int('id') === $filter->account) aria-current="true" @endif>account {{ $each->text('number') }}</a>@endif
                @endforeach
            @endforeach
            @if (count($accounts) === $listed)<p class="lesser">The search finds the other accounts.</p>@endif
        </x-word>,
        <x-word :label="$filter->endsIn === null ? __('roll.ending.'.$filter->ending->value) : __('roll.ends_in', ['days' => App\View\FacetWord::days($filter->endsIn, $words)])">
            @foreach (App\Queries\Roll\Ending::cases() as $one)
                <a href="{{ $filter->address(['ending' => $one === App\Queries\Roll\Ending::Any ? null : $one->value]) }}" @if ($one === $filter->ending && $filter->endsIn === null) aria-current="true" @endif>{{ __('roll.ending.'.$one->value) }}</a>
            @endforeach
            <form class="ask" action="{{ route('roll') }}">
                @include('roll.sentence', ['without' => 'ending'])
                <label for="ends-from">{{ __('roll.ends_from') }}</label> <input type="date" id="ends-from" name="ends_from" value="{{ $filter->endsIn?->from?->date() }}">
                <label for="ends-to">{{ __('roll.to') }}</label> <input type="date" id="ends-to" name="ends_to" value="{{ $filter->endsIn?->to?->date() }}">
                <button>{{ __('roll.narrow_days') }}</button>
            </form>
        </x-word>,
        <x-word :label="__('roll.sort.'.$filter->sort->value)">
            @foreach (App\Queries\Roll\Sort::cases() as $one)
                <a href="{{ $filter->address(['sort' => $one === App\Queries\Roll\Sort::Next ? null : $one->value]) }}" @if ($one === $filter->sort) aria-current="true" @endif>{{ __('roll.sort.'.$one->value) }}</a>
            @endforeach
            <form class="ask" action="{{ route('roll') }}">
                @include('roll.sentence')
                <label for="from">from</label> <input id="from" name="from" value="{{ $filter->from }}" maxlength="63" required @if ($filter->sort === App\Queries\Roll\Sort::Name) placeholder="m" size="8" @else type="date" @endif>
                <button>Go there</button>
            </form>
        </x-word>@foreach ($facets as $facet), <strong>{{ $facet->told }}</strong> (<a href="{{ $facet->without }}">without</a>)@endforeach
        <x-word label="and …">
            <form class="narrow-form" action="{{ route('roll') }}">
                @foreach (array_diff_key($filter->words(), $filter->facets) as $word => $value)<input type="hidden" name="{{ $word }}" value="{{ $value }}">@endforeach
                @foreach (collect(App\Queries\Roll\Facet::cases())->filter->isChosen()->sortBy(fn (App\Queries\Roll\Facet $facet): bool => $facet->isWritten()) as $facet)@include('roll.facet')@endforeach
                <p><button class="main">Show these</button></p>
            </form>
        </x-word>
        @if ($page->sums !== null && $words->sums($page->sums, 'roll.sums') !== null)<span class="lesser">{{ $words->sums($page->sums, 'roll.sums') }}</span>@endif
        @if ($page->count > 0)
            <span class="sentence-deeds">
                @can('prepare')<form method="post" action="{{ route('sheaf.all') }}">@csrf @include('roll.sentence')<button class="plain">Tick all {{ $page->more ? 'of them' : number_format($page->count) }}</button></form>@endcan
                <details class="menu word"><summary>Take away</summary>
                    <div class="menu-sheet">
                        @foreach (['csv' => 'as CSV', 'xlsx' => 'as a spreadsheet, XLSX', 'ods' => 'as a spreadsheet, ODS', 'json' => 'as JSON'] as $kind => $as)<a href="{{ route('roll.take-away', [$kind, ...$filter->words()]) }}">{{ $as }}</a>@endforeach
                        <a href="{{ route('roll.calendar', $filter->words()) }}">as a calendar</a>
                        <form method="post" action="{{ route('roll.subscribe') }}">@csrf @include('roll.sentence')<p><button>Give it an address for calendars</button></p></form>
                        <a href="{{ route('calendars') }}">My calendar addresses</a>
                    </div>
                </details>
                <details class="menu word"><summary>Keep this view</summary>
                    <div class="menu-sheet">
                        <form method="post" action="{{ route('roll.views.store') }}">
                            @csrf @include('roll.sentence')
                            <x-field name="name" label="Its name" id="view-name" maxlength="80" required/>
                            <p><label><input type="checkbox" name="shared" value="1"> Everybody here sees it</label></p>
                            <p><button>Keep it</button></p>
                        </form>
                    </div>
                </details>
            </span>
        @endif
    </div>
    @if ($filter->from !== '' && ! $filter->isStarted())<p class="wrong" role="alert">{{ __('roll.no_start', ['given' => $filter->from]) }}</p>@endif
    @foreach ($filter->unread as $given)<p class="wrong" role="alert">{{ __('roll.no_days', ['given' => $given]) }}</p>@endforeach
    @if ($rows === [])
        <div class="empty">
            @if ($filter->isStarted() && $page->count > 0)
                <h2>None of them stands so far down</h2>
                <p><a href="{{ $filter->address() }}">From the first</a>.</p>
            @elseif ($filter->isNarrowed() || $filter->after !== null)
                <h2>No name answers to this sentence</h2>
                <p>Change one of its dotted words, or <a href="{{ route('roll') }}">see every name</a>.</p>
            @else
                <h2>Nothing is on the Roll yet</h2>
                <p>The Roll is the inventory: every name that is held, for whom, where, and what is due. It begins with a list that you have already, from a registrar or of your own.</p>
                @can('prepare')<p><a class="button main" href="{{ route('bring-in.create') }}">Bring names in from a spreadsheet</a></p>@endcan
            @endif
        </div>
    @else
        <form method="post" action="{{ route('sheaf.add') }}" id="ticks">
            @csrf
            <table @class(['sheet', 'roll', 'roll-close' => $looks->compact, 'roll-more' => count($looks->written()) > 0, 'roll-most' => count($looks->written()) > 2])>
                <caption class="hide">Names, {{ __('roll.sort.'.$filter->sort->value) }}</caption>
                <thead>
                <tr>
                    <th class="c-tick" scope="col"><input type="checkbox" data-tick-all aria-label="Tick every name on this page"></th>
                    <th class="c-name" scope="col">Name, and whose it is</th>
                    <th class="c-held" scope="col">Where held</th>
                    @foreach ($looks->written() as $column)<th class="c-more" scope="col">{{ __('roll.column.'.$column->value) }}</th>@endforeach
                    @if ($looks->has(App\View\RollColumn::Line))<th class="c-line" scope="col"><span class="hide">Life line</span><x-axis :axis="$axis" :today="$today"/></th>@endif
                    <th class="c-next" scope="col">Next</th>
                </tr>
                </thead>
                <tbody>
                @include('roll.rows', ['todayAt' => $axis->at($today), 'line' => $looks->has(App\View\RollColumn::Line)])
                </tbody>
            </table>
            @can('prepare')<noscript><p class="turn"><button>Put the ticked names into the sheaf</button></p></noscript>@endcan
        </form>
        <nav class="turn" aria-label="Pages">
            @if ($filter->after !== null || $filter->isStarted())<a href="{{ $filter->address() }}">Back to the first names</a>@endif
            @if ($page->next !== null)<a href="{{ $filter->address(['after' => $page->next]) }}" rel="next">The next {{ config('house.roll_page') }}</a>@endif
        </nav>
    @endif
</x-layout>
