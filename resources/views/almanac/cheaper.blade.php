<x-layout :title="__('almanac.cheaper.title')" area="Almanac">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('almanac', ['of' => $scope->text()]) }}">{{ __('almanac.title') }}</a> / {{ __('almanac.cheaper.trail') }}</nav>
    <h1>{{ __('almanac.cheaper.title') }}</h1>
    <div class="sentence">{{ __('almanac.cheaper.names_of') }}<strong>{{ $about->name }}</strong>{{
        __('almanac.cheaper.over')
    }}<x-word :label="trans_choice('almanac.cheaper.years', $years, ['count' => $years])">
            @foreach ($choices as $choice)
                <p><a href="{{ route('almanac.cheaper', ['of' => $scope->text(), 'years' => $choice]) }}">{{ trans_choice(
                    'almanac.cheaper.years',
                    $choice,
                    ['count' => $choice],
                ) }}</a></p>
            @endforeach
        </x-word>. {{ $found === [] ? __('almanac.cheaper.nowhere') : __('almanac.cheaper.said') }}</div>
    @if ($found !== [])
        <table class="sheet">
            <caption class="hide">{{ __('almanac.cheaper.title') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('almanac.cheaper.at') }}</th>
                    <th scope="col" class="sum">{{ __('almanac.cheaper.names') }}</th>
                    <th scope="col" class="sum">{{ __('almanac.cheaper.stays') }}</th>
                    <th scope="col" class="sum">{{ __('almanac.cheaper.moves') }}</th>
                    <th scope="col" class="sum">{{ __('almanac.cheaper.saves') }}</th>
                    <th scope="col">{{ __('almanac.cheaper.held') }}</th>
                    <th scope="col"><span class="hide">{{ __('common.what_to_do') }}</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($found as $one)
                    <tr>
                        <th scope="row"><a href="{{ route('accounts.show', $one->account) }}">{{ $one->account->registrar->name }} {{
                            $one->account->number
                        }}</a></th>
                        <td class="sum" data-label="{{ __('almanac.cheaper.names') }}">{{ number_format($one->names) }}</td>
                        <td class="sum" data-label="{{ __('almanac.cheaper.stays') }}">{{ $one->stays->text() }}</td>
                        <td class="sum" data-label="{{ __('almanac.cheaper.moves') }}">{{ $one->moves->text() }}</td>
                        <td class="sum" data-label="{{ __('almanac.cheaper.saves') }}"><strong class="is-good">{{
                            $one->saves->text()
                        }}</strong></td>
                        <td data-label="{{ __('almanac.cheaper.held') }}">
                            @if ($one->held > 0)
                                {{ trans_choice('almanac.cheaper.held_said', $one->held, [
                                    'count' => number_format($one->held),
                                    'day' => App\Support\Dates::full($one->heldUntil ?? $today),
                                ]) }}
                            @endif
                        </td>
                        <td>
                            @can('prepare')
                                <form method="post" action="{{ route('almanac.cheaper.plan', $one->account) }}">@csrf
                                    <input type="hidden" name="of" value="{{ $scope->text() }}">
                                    <input type="hidden" name="years" value="{{ $years }}">
                                    <button aria-label="{{ __('almanac.cheaper.plan_to', [
                                        'registrar' => $one->account->registrar->name,
                                    ]) }}">{{
                                        __('almanac.cheaper.plan')
                                    }}</button>
                                </form>
                            @endcan
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <p class="lesser">{{ __('almanac.cheaper.counted') }}</p>
    @endif
    <section class="card apart" aria-labelledby="rates">
        <h2 id="rates">{{ __('almanac.cheaper.rates') }}</h2>
        @foreach ($rates as [$from, $to, $rate, $on])
            <p>{{ __('almanac.cheaper.rate', [
                'from' => $from,
                'to' => $to,
                'rate' => $rate,
                'day' => App\Support\Dates::full($on),
            ]) }}</p>
        @endforeach
        <p class="lesser">{{ __('almanac.cheaper.rates_said') }}</p>
        @can('prepare')
            <form method="post" action="{{ route('almanac.rates') }}" class="fields">@csrf
                <input type="hidden" name="of" value="{{ $scope->text() }}">
                <div class="columns">
                    <x-field name="currency" :label="__('almanac.cheaper.one')" maxlength="3" required/>
                    <x-field name="rate" :label="__('almanac.cheaper.worth')" inputmode="decimal" maxlength="16" required/>
                    <x-field name="to_currency" :label="__('almanac.cheaper.of')" :value="$currency" maxlength="3" required/>
                    <x-field name="on_day" :label="__('almanac.cheaper.on')" type="date" :value="$today->date()" required/>
                </div>
                <p><button>{{ __('almanac.cheaper.keep_rate') }}</button></p>
            </form>
        @endcan
    </section>
</x-layout>
