<x-layout :title="__('common.contacts')" area="People">
    @include('contacts.ways')
    <div class="head">
        <div>
            <h1>{{ __('common.contacts') }}</h1>
            <p class="sentence">
                {{ trans_choice(
                    $count >= 10000 ? 'contacts.index.more_than' : 'contacts.index.count',
                    $count,
                    ['told' => number_format($count)],
                ) }}
                {{ __('contacts.index.why') }}</p>
        </div>
        @can('prepare')
            <p class="head-deeds"><a class="button" href="{{ route('contacts.create') }}">{{ __('contacts.index.add_a_contact') }}</a></p>
        @endcan
    </div>
    @if (($risks !== [] || $hang !== []) && !$filter->isNarrowed())
        <section class="card" aria-labelledby="risk">
            <h2 id="risk">{{ __('contacts.index.at_risk') }} <span class="aside">{{ __('contacts.index.most_costly_first') }}</span>
            </h2>
            <dl class="facts facts-risk">
                @foreach ($risks as $risk => $names)
                    @php($tag = Acre\Core\Contact\ContactFinding::from($risk))
                    <div>
                        <dt>{{ $words->say('words.cost.' . $tag->cost()->name) }}</dt>
                        <dd><strong>{{ ucfirst($words->say('contacts.risk.' . $risk)) }}</strong><span
                                class="aside">{{ $words->say('words.cure.' . $tag->cure()->value) }}</span></dd>
                        <dd><a
                                href="{{ route('roll', ['finding' => 'contact.' . $risk]) }}">{{ trans_choice(
                                    $names >= 10000 ? 'contacts.index.names_or_more' : 'contacts.index.names',
                                    $names,
                                    ['told' => number_format($names)],
                                ) }}</a>
                            @if ($tag !== Acre\Core\Contact\ContactFinding::NoRegistrant)
                                ·
                                <a href="{{ route('contacts.index', ['risk' => $risk]) }}">{{ __('contacts.index.contacts') }}</a>
                            @endif
                        </dd>
                    </div>
                @endforeach
                @foreach ($hang as $one)
                    <div>
                        <dt>{{ $words->say('words.cost.Attention') }}</dt>
                        <dd><strong>{{ __(
                            'contacts.index.names_depend_on_one_persons',
                            ['names' => number_format($one->int('names'))],
                        ) }}</strong><span
                                class="aside">{{ $words->say('words.cure.other_mailbox') }}</span></dd>
                        <dd><a href="{{ route('contacts.show', $one->int('id')) }}"><bdi>{{ $one->text('called') }}</bdi></a></dd>
                    </div>
                @endforeach
            </dl>
        </section>
    @endif
    <form class="ask apart" method="get">
        <label for="q">{{ __('contacts.index.name_or_mailbox') }}</label> <input id="q" type="text" name="q"
            value="{{ $filter->text }}" maxlength="200">
        <label for="client">{{ __('contacts.index.of') }}</label> <select id="client" name="client">
            <option value="">{{ __('contacts.index.anyone') }}</option>
            @foreach ($clients as $id => $name)
                <option value="{{ $id }}" @selected($filter->client === $id)>{{ $name }}</option>
            @endforeach
        </select>
        <label for="of">{{ __('contacts.index.with') }}</label> <select id="of" name="risk">
            <option value="">{{ __('contacts.index.any_finding') }}</option>
            @foreach (App\Queries\Contacts\ReadContacts::RISKS as $risk)
                <option value="{{ $risk->value }}" @selected($filter->risk === $risk)>{{
                    $words->say('contacts.risk.' . $risk->value)
                }}</option>
            @endforeach
        </select>
        <label class="tick"><input type="checkbox" name="unused" value="1" @checked($filter->unused)>
            {{ __('contacts.index.no_names') }}</label>
        <button>{{ __('common.show') }}</button>
        @if ($filter->isNarrowed())
            <a href="{{ route('contacts.index') }}">{{ __('contacts.index.all') }}</a>
        @endif
    </form>
    @if ($rows === [])
        <div class="empty">
            @if ($filter->isNarrowed() || $filter->after !== null)
                <h2>{{ __('contacts.index.no_contact_matches') }}</h2>
            <p><a href="{{ route('contacts.index') }}">{{ __('contacts.index.show_all_contacts') }}</a>.</p>@else<h2>
                    {{ __('contacts.index.no_contacts_yet') }}</h2>
                <p>{{ __('contacts.index.registrants_are_added_when_you') }}</p>
            @endif
        </div>
    @else
        <table class="sheet">
            <thead>
                <tr>
                    <th scope="col">{{ __('common.name') }}</th>
                    <th scope="col">{{ __('common.mailbox') }}</th>
                    <th scope="col">{{ __('common.served') }}</th>
                    <th scope="col">{{ __('contacts.index.country') }}</th>
                    <th scope="col" class="sum">{{ __('common.names') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($rows as $row)
                    <tr>
                        <th scope="row"><a
                                href="{{ route('contacts.show', $row->int('id')) }}">{{ $row->text('called') === ''
                                    ? $row->textOrNull('address')
                                    : $row->text('called') }}</a>
                            @if ($row->textOrNull('organisation') !== null && $row->textOrNull('person') !== null)
                                <span class="lesser">{{ $row->text('person') }}</span>
                                @endif @if ($row->text('kind') !== 'organisation')
                                    <span class="lesser">{{ $words->say('contacts.kind.' . $row->text('kind')) }}</span>
                                @endif
                        </th>
                        <td data-label="{{ __('common.mailbox') }}">
                            @if ($row->textOrNull('address') === null)
                            <span class="is-soon">{{ __('contacts.index.none') }}</span>@else<span
                                    class="mono">{{ $row->text('address') }}</span>
                                @if ($row->text('takes_mail') === 'no')
                                    <span class="lesser is-bad">{{ __('contacts.index.domain_accepts_no_e_mail') }}</span>
                                @endif
                            @endif
                        </td>
                        <td data-label="{{ __('common.served') }}">
                            @if ($row->intOrNull('client_id') === null)
                            <span class="is-soon">{{ __('contacts.index.nobody') }}</span>@else<a
                                    href="{{ route('clients.show', $row->int('client_id')) }}">{{ $row->text('client_name') }}</a>
                            @endif
                        </td>
                        <td data-label="{{ __('contacts.index.country') }}">{{ $row->textOrNull('country') ?? '' }}</td>
                        <td class="sum" data-label="{{ __('common.names') }}">
                            @if ($row->int('names') > 0)
                                <a href="{{ route('roll', ['contact' => $row->int('id')]) }}">{{ number_format($row->int('names')) }}</a>
                            @else
                                0
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <nav class="turn" aria-label="{{ __('common.pages') }}">
            @if ($filter->after !== null)
                <a href="{{ route('contacts.index', $filter->words()) }}">{{ __('contacts.index.back_to_the_start') }}</a>
            @endif
            @if ($more)
                <a href="{{ route('contacts.index', $filter->words(['after' => $next->int('id')])) }}"
                    rel="next">{{ __('contacts.index.next', ['most' => App\Queries\Contacts\ReadContacts::PAGE]) }}</a>
            @endif
        </nav>
    @endif
    @can('prepare')
        <details class="card apart">
            <summary>{{ __('contacts.index.import_vcards') }}</summary>
            <form method="post" action="{{ route('contacts.cards') }}" enctype="multipart/form-data" class="ask">@csrf
                <label for="cards">{{ __('contacts.index.vcard_file_such_as_contacts') }}</label> <input id="cards" type="file"
                    name="cards" accept=".vcf,text/vcard" required> <button>{{ __('contacts.index.import') }}</button>
            </form>
        </details>
    @endcan
</x-layout>
