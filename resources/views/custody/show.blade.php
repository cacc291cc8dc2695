<x-layout :title="__('custody.show.if_leaves', ['custodian' => $custodian->name])" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('custody.index') }}">{{ __('common.account_access') }}</a></nav>
    <div class="head">
        <div>
            <h1>{{ __('custody.show.what_stops_working_if_leaves', ['custodian' => $custodian->name]) }}</h1>
            <p class="sentence">
                @if ($accounts === [])
                    {{ __('custody.show.nothing_no_account_access_is') }}
                @elseif ($stops === [])
                    {{ __('custody.show.nothing_stops_for_every') }}
                @else
                    @php($many = array_sum(array_map(fn($id) => $accounts[$id]['account']->int('names'), array_keys($stops))))
                    <strong>{{ trans_choice('custody.show.stops', count($stops), ['count' => count($stops)]) }}</strong>
                    {{ trans_choice('custody.show.stops_names', $many, ['told' => number_format($many)]) }}
                    @endif @if ($custodian->left_on !== null)
                        <span
                            class="is-soon">{{ __(
                                'custody.show.left_on',
                                ['left_on' => App\Support\Dates::full($custodian->left_on)],
                            ) }}</span>
                    @endif
            </p>
        </div>
        @can('settle')
            <form method="post" action="{{ route('custody.leave', $custodian) }}" class="head-deeds">
                @csrf<button>{{ $custodian->left_on === null
                    ? __('custody.show.mark_as_left')
                    : __('custody.show.mark_as_returned') }}</button>
            </form>
        @endcan
    </div>
    @php($open = $handings->firstWhere('closed_on', null))
    @if ($open !== null)
        <div class="card told-soon apart">
            <p>{{ __('custody.show.being_handed', ['to' => $open->to->name]) }} <a
                    href="{{ route('custody.handing', $open) }}">{{ __('custody.show.open_slip') }}</a></p>
        </div>
    @endif
    @if ($accounts !== [])
        <table class="sheet">
            <caption class="hide">{{ __('custody.show.accounts_that_has_access_to', ['custodian' => $custodian->name]) }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('common.account') }}</th>
                    <th scope="col" class="sum">{{ __('common.names') }}</th>
                    <th scope="col">{{ __('custody.show.their_access') }}</th>
                    <th scope="col">{{ __('custody.show.only_theirs') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($accounts as $id => ['account' => $account, 'custody' => $custody])
                    @php($theirs = array_map(
                        fn($one) => $words->say('contacts.custody.part.' . $one->part->value),
                        array_filter($custody->custodians, fn($one) => $one->id === $custodian->id),
                    ))
                    <tr>
                        <th scope="row"><a href="{{ route('accounts.show', $id) }}">{{ $account->text('registrar_name') }}
                                {{ $account->text('number') }}</a></th>
                        <td class="sum" data-label="{{ __('common.names') }}">{{ number_format($account->int('names')) }}</td>
                        <td data-label="{{ __('custody.show.their_access') }}">{{ implode(', ', $theirs) }}</td>
                        <td data-label="{{ __('custody.show.only_theirs') }}">
                            @if (($stops[$id] ?? []) === [])
                            <span class="lesser">{{ __('custody.show.nothing_others_have_the_same') }}</span>@else<span
                                    class="is-bad">{{ implode(
                                        ', ',
                                        array_map(fn($part) => $words->say('contacts.custody.part.' . $part->value), $stops[$id]),
                                    ) }}</span>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @can('settle')
            @if ($open === null)
                <x-slot:foot>
                    <div class="foot" role="region" aria-label="{{ __('common.hand_over') }}">
                        <div class="foot-say">
                            <p><strong>{{ __('custody.show.hand_over_all', ['who' => $custodian->name]) }}</strong></p>
                            <p class="lesser">{{ __('custody.show.a_slip_says_what_to_do_at_each') }}</p>
                        </div>
                        <form method="post" action="{{ route('custody.hand-over', $custodian) }}">@csrf <label
                                for="to">{{ __('custody.show.to') }}</label> <select id="to" name="to">
                                <option value="">{{ __('custody.show.choose') }}</option>
                                @foreach ($others as $id => $name)
                                    <option value="{{ $id }}">{{ $name }}</option>
                                @endforeach
                            </select>
                            <button class="main">{{ __('common.start') }}</button>
                        </form>
                    </div>
                </x-slot:foot>
            @endif
        @endcan
    @endif
    @if ($handings->isNotEmpty())
        <section class="card apart" aria-labelledby="handed">
            <h2 id="handed">{{ __('custody.show.earlier_handovers_of_access') }}</h2>
            <ul class="plain-list">
                @foreach ($handings as $one)
                    <li><a
                            href="{{ route('custody.handing', $one) }}">{{
                                __('custody.show.to_person', ['to' => $one->to->name])
                            }}</a><span
                            class="lesser">{{ __(
                                $one->closed_on === null ? 'custody.show.under_way' : 'custody.show.closed',
                                [
                                    'day' => App\Support\Dates::full($one->opened_on),
                                    'end' => $one->closed_on === null ? '' : App\Support\Dates::full($one->closed_on),
                                ],
                            ) }}</span>
                    </li>
                @endforeach
            </ul>
        </section>
    @endif
</x-layout>
