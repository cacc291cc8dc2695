<x-layout title="The Roll" area="Roll">
    @inject('current', App\View\CurrentSheaf::class)
    @php($sheaf = $current->get())
    <div class="head">
        <div>
            <h1>The Roll</h1>
            <div class="sentence">
                @php($client = $clients->firstWhere('id', $filter->client))
                @php($registrar = $registrars->firstWhere('id', $filter->registrar))
                @php($account = $registrars->pluck('accounts')->flatten()->firstWhere('id', $filter->account))
                Showing <strong>{{ $page->more ? 'more than '.number_format($page->count) : number_format($page->count) }} {{ $page->count === 1 ? 'name' : 'names' }}</strong> held for
                <x-word :label="$client?->name ?? 'every client'">
                    <a href="{{ $filter->address(['client' => null]) }}" @if ($filter->client === null) aria-current="true" @endif>every client</a>
                    @foreach ($clients as $one)
                        <a href="{{ $filter->address(['client' => $one->id]) }}" @if ($one->id === $filter->client) aria-current="true" @endif>{{ $one->name }}</a>
                    @endforeach
                </x-word>
                at
                <x-word :label="$account !== null ? $registrars->firstWhere('id', $account->registrar_id)->name.' '.$account->number : ($registrar?->name ?? 'every registrar')">
                    <a href="{{ $filter->address(['registrar' => null, 'account' => null]) }}" @if ($filter->registrar === null && $filter->account === null) aria-current="true" @endif>every registrar</a>
                    @foreach ($registrars as $one)
                        <a href="{{ $filter->address(['registrar' => $one->id, 'account' => null]) }}" @if ($one->id === $filter->registrar) aria-current="true" @endif><strong>{{ $one->name }}</strong></a>
                        @foreach ($one->accounts as $each)
                            <a class="inner" href="{{ $filter->address(['account' => $each->id, 'registrar' => null]) }}" @if ($each->id === $filter->account) aria-current="true" @endif>account {{ $each->number }}</a>
                        @endforeach
                    @endforeach
                </x-word>,
                <x-word :label="__('roll.ending.'.$filter->ending->value)">
                    @foreach (App\Queries\Roll\Ending::cases() as $one)
                        <a href="{{ $filter->address(['ending' => $one === App\Queries\Roll\Ending::Any ? null : $one->value]) }}" @if ($one === $filter->ending) aria-current="true" @endif>{{ __('roll.ending.'.$one->value) }}</a>
                    @endforeach
                </x-word>,
                <x-word :label="__('roll.sort.'.$filter->sort->value)">
                    @foreach (App\Queries\Roll\Sort::cases() as $one)
                        <a href="{{ $filter->address(['sort' => $one === App\Queries\Roll\Sort::Next ? null : $one->value]) }}" @if ($one === $filter->sort) aria-current="true" @endif>{{ __('roll.sort.'.$one->value) }}</a>
                    @endforeach
                </x-word>@if ($filter->text !== ''), with <strong>“{{ $filter->text }}”</strong> in them (<a href="{{ $filter->address(['q' => null]) }}">without</a>)@endif.
            </div>
        </div>
        @can('prepare')
            <p class="head-deeds"><a href="{{ route('bring-in.create') }}">Bring names in</a></p>
        @endcan
    </div>
    @if ($rows === [])
        <div class="empty">
            @if ($filter->isNarrowed() || $filter->after !== null)
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
            <table class="sheet roll">
                <caption class="hide">Names, {{ __('roll.sort.'.$filter->sort->value) }}</caption>
                <thead>
                <tr>
                    <th class="c-tick" scope="col"><input type="checkbox" data-tick-all aria-label="Tick every name on this page"></th>
                    <th class="c-name" scope="col">Name, and whose it is</th>
                    <th class="c-held" scope="col">Where held</th>
                    <th class="c-line" scope="col"><span class="hide">Life line</span><x-axis :axis="$axis" :today="$today"/></th>
                    <th class="c-next" scope="col">Next</th>
                </tr>
                </thead>
                <tbody>
                @foreach ($rows as $row)
                    @include('roll.row', ['row' => $row, 'ticked' => $sheaf->has($row->id), 'todayAt' => $axis->at($today)])
                @endforeach
                </tbody>
            </table>
            @can('prepare')<noscript><p class="turn"><button>Put the ticked names into the sheaf</button></p></noscript>@endcan
        </form>
        <nav class="turn" aria-label="Pages">
            @if ($filter->after !== null)<a href="{{ $filter->address() }}">Back to the first names</a>@endif
            @if ($page->next !== null)<a href="{{ $filter->address(['after' => $page->next]) }}" rel="next">The next {{ config('house.roll_page') }}</a>@endif
        </nav>
    @endif
</x-layout>
