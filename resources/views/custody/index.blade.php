<x-layout :title="__('common.account_access')" area="People">
    @include('contacts.ways')
    <div class="head">
        <div>
            <h1>{{ __('common.account_access') }}</h1>
            <p class="sentence">{{ __('custody.index.who_can_sign_in_who_has_the') }}</p>
        </div>
    </div>
    <div class="cards">
        <section class="card" aria-labelledby="people">
            <h2 id="people">{{ __('custody.index.what_stops_if_they_leave') }}</h2>
            <dl class="facts">
                @forelse ($custodians as $one)
                    <div>
                        <dt><a href="{{ route('custody.show', $one) }}">{{ $one->name }}</a></dt>
                        <dd>{{ ($counts[$one->id] ?? 0) === 1 ? __('custody.index.has_access_to_one_account') : __(
                            'custody.index.has_access_to_accounts',
                            ['id' => number_format($counts[$one->id] ?? 0)],
                        ) }}@if ($one->left_on !== null), <span class="is-soon">{{ __('custody.index.has_left') }}</span>
                            @endif
                        </dd>
                </div>@empty<div>
                        <dt>{{ __('custody.index.nobody') }}</dt>
                        <dd>{{ __('custody.index.yet') }}</dd>
                    </div>
                @endforelse
            </dl>
            @can('prepare')
                <details>
                    <summary>{{ __('custody.index.add_a_person') }}</summary>
                    <form method="post" action="{{ route('custody.store') }}" class="fields">@csrf<div class="columns"><x-field name="name"
                                :label="__('common.name')" required maxlength="200" />
                                <x-field name="mailbox" :label="__('common.mailbox')" type="email"
                                maxlength="320" /></div>
                        <p><button>{{ __('common.save') }}</button></p>
                    </form>
                </details>
            @endcan
        </section>
    </div>
    <table class="sheet">
        <thead>
            <tr>
                <th scope="col">{{ __('common.account') }}</th>
                <th scope="col" class="sum">{{ __('common.names') }}</th>
                <th scope="col">{{ __('custody.index.can_sign_in') }}</th>
                <th scope="col">{{ __('custody.index.second_factor_card') }}</th>
                <th scope="col">{{ __('custody.index.at_risk') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($accounts as ['account' => $account, 'custody' => $custody])
                @php($of = fn($part) => implode(
                    ', ',
                    array_map(
                        fn($one) => __(
                            'custody.index.person' . ($one->hasLeft ? '_left' : '') . ($one->goodUntil === null ? '' : '_until'),
                            ['name' => $one->name, 'day' => $one->goodUntil === null ? '' : App\Support\Dates::full($one->goodUntil)],
                        ),
                        array_filter($custody->custodians, fn($one) => $one->part === $part),
                    ),
                ))
                <tr>
                    <th scope="row"><a href="{{ route('accounts.show', $account->int('id')) }}">{{ $account->text('registrar_name') }}
                            {{ $account->text('number') }}</a><span
                            class="lesser mono">{{ $account->textOrNull('mailbox') ?? __(
                                'custody.index.no_login_mailbox_recorded',
                            ) }}</span>
                    </th>
                    <td class="sum" data-label="{{ __('common.names') }}">{{ number_format($account->int('names')) }}</td>
                    <td data-label="{{ __('custody.index.can_sign_in') }}">
                        {{ $of(Acre\Core\Custody\CustodyPart::SignsIn) ?: __('custody.index.nobody_recorded') }}</td>
                    <td data-label="{{ __('custody.index.second_factor_card') }}">
                        {{ $of(Acre\Core\Custody\CustodyPart::SecondFactor) ?: __('custody.index.none_recorded') }}<span
                            class="lesser">{{ __(
                                'custody.index.card',
                                ['who' => $of(Acre\Core\Custody\CustodyPart::Card) ?: __('custody.index.none_recorded')],
                            ) }}</span>
                    </td>
                    <td data-label="{{ __('custody.index.at_risk') }}">
                        @foreach ($custody->findings() as $finding)
                            <span
                                class="reason {{ $finding->tag->cost() === Acre\Core\Finding\Cost::Attention
                                    ? ''
                                    : 'is-bad' }}">{{ $words->finding($finding) }}.</span>
                        @endforeach
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <x-cut :shown="count($accounts)" :most="App\Queries\Custody\ReadCustody::MOST">{{ __('custody.index.rest') }}</x-cut>
</x-layout>
