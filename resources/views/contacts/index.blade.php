<x-layout title="Who stands behind the names" area="People">
    @include('contacts.ways')
    <div class="head">
        <div><h1>Who stands behind the names</h1>
            <p class="sentence">{{ $count === 1 ? 'One contact' : number_format($count).($count >= 10000 ? ' contacts or more' : ' contacts') }}. Whoever reads a name’s mailbox can take it; if nobody does, it goes dark.</p></div>
        @can('prepare')<p class="head-deeds"><a class="button" href="{{ route('contacts.create') }}">Write a contact down</a></p>@endcan
    </div>
    @if (($risks !== [] || $hang !== []) && ! $filter->isNarrowed())
        <section class="card" aria-labelledby="risk">
            <h2 id="risk">At risk <span class="aside">what costs most to miss comes first</span></h2>
            <dl class="facts facts-risk">
                @foreach ($risks as $risk => $names)
                    @php($tag = Acre\Core\Contact\ContactFinding::from($risk))
                    <div><dt>{{ $words->say('words.cost.'.$tag->cost()->name) }}</dt>
                        <dd><strong>{{ ucfirst($words->say('contacts.risk.'.$risk)) }}</strong><span class="aside">{{ $words->say('words.cure.'.$tag->cure()->value) }}</span></dd>
                        <dd><a href="{{ route('roll', ['finding' => 'contact.'.$risk]) }}">{{ $names === 1 ? 'one name' : number_format($names).($names >= 10000 ? ' names or more' : ' names') }}</a>@if ($tag !== Acre\Core\Contact\ContactFinding::NoRegistrant) · <a href="{{ route('contacts.index', ['risk' => $risk]) }}">who</a>@endif</dd></div>
                @endforeach
                @foreach ($hang as $one)<div><dt>{{ $words->say('words.cost.Attention') }}</dt><dd><strong>{{ number_format($one->int('names')) }} names hang on the mailbox of one person</strong><span class="aside">{{ $words->say('words.cure.other_mailbox') }}</span></dd><dd><a href="{{ route('contacts.show', $one->int('id')) }}"><bdi>{{ $one->text('called') }}</bdi></a></dd></div>@endforeach
            </dl>
        </section>
    @endif
    <form class="ask apart" method="get">
        <label for="q">Called, or with the mailbox</label> <input id="q" type="text" name="q" value="{{ $filter->text }}" maxlength="200">
        <label for="client">known by</label> <select id="client" name="client"><option value="">anybody</option>@foreach ($clients as $id => $name)<option value="{{ $id }}" @selected($filter->client === $id)>{{ $name }}</option>@endforeach</select>
        <label for="of">of which is said</label> <select id="of" name="risk"><option value="">anything</option>@foreach (App\Queries\Contacts\ReadContacts::RISKS as $risk)<option value="{{ $risk->value }}" @selected($filter->risk === $risk)>{{ $words->say('contacts.risk.'.$risk->value) }}</option>@endforeach</select>
        <label class="tick"><input type="checkbox" name="unused" value="1" @checked($filter->unused)> behind no name</label>
        <button>Show these</button> @if ($filter->isNarrowed())<a href="{{ route('contacts.index') }}">All</a>@endif
    </form>
    @if ($rows === [])
        <div class="empty">@if ($filter->isNarrowed() || $filter->after !== null)<h2>Nobody answers to that</h2><p><a href="{{ route('contacts.index') }}">See all contacts</a>.</p>@else<h2>Nobody is written down yet</h2><p>Registrants come with the names that are brought in. Or write one down, or take a file of cards.</p>@endif</div>
    @else
        <table class="sheet">
            <thead><tr><th scope="col">Called</th><th scope="col">Mailbox</th><th scope="col">Known by</th><th scope="col">Country</th><th scope="col" class="sum">Names</th></tr></thead>
            <tbody>
            @foreach ($rows as $row)
                <tr>
                    <th scope="row"><a href="{{ route('contacts.show', $row->int('id')) }}">{{ $row->text('called') === '' ? $row->textOrNull('address') : $row->text('called') }}</a>@if ($row->textOrNull('organisation') !== null && $row->textOrNull('person') !== null)<span class="lesser">{{ $row->text('person') }}</span>@endif @if ($row->text('kind') !== 'organisation')<span class="lesser">{{ $words->say('contacts.kind.'.$row->text('kind')) }}</span>@endif</th>
                    <td data-label="Mailbox">@if ($row->textOrNull('address') === null)<span class="is-soon">none</span>@else<span class="mono">{{ $row->text('address') }}</span>@if ($row->text('takes_mail') === 'no')<span class="lesser is-bad">its host takes no mail</span>@endif @endif</td>
                    <td data-label="Known by">@if ($row->intOrNull('client_id') === null)<span class="is-soon">nobody</span>@else<a href="{{ route('clients.show', $row->int('client_id')) }}">{{ $row->text('client_name') }}</a>@endif</td>
                    <td data-label="Country">{{ $row->textOrNull('country') ?? '' }}</td>
                    <td class="sum" data-label="Names">@if ($row->int('names') > 0)<a href="{{ route('roll', ['contact' => $row->int('id')]) }}">{{ number_format($row->int('names')) }}</a>@else 0 @endif</td>
                </tr>
            @endforeach
            </tbody>
        </table>
        <nav class="turn" aria-label="Pages">
            @if ($filter->after !== null)<a href="{{ route('contacts.index', $filter->words()) }}">Back to the first</a>@endif
            @if ($more)<a href="{{ route('contacts.index', $filter->words(['after' => $next->int('id')])) }}" rel="next">The next {{ App\Queries\Contacts\ReadContacts::PAGE }}</a>@endif
        </nav>
    @endif
    @can('prepare')
        <details class="card apart"><summary>Take a file of cards</summary>
            <form method="post" action="{{ route('contacts.cards') }}" enctype="multipart/form-data" class="ask">@csrf
                <label for="cards">vCards, such as contacts.vcf</label> <input id="cards" type="file" name="cards" accept=".vcf,text/vcard" required> <button>Take them</button>
            </form>
        </details>
    @endcan
</x-layout>
