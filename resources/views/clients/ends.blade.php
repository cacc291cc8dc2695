<x-layout :title="__('clients.fewer.title', ['client' => $client->name])" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('clients.index') }}">{{ __('common.clients') }}</a> /
        <a href="{{ route('clients.show', $client) }}">{{ $client->name }}</a> / {{ __('clients.fewer.open') }}</nav>
    <h1>{{ __('clients.fewer.title', ['client' => $client->name]) }}</h1>
    <p class="sentence">{{ trans_choice('clients.fewer.today', $names, [
        'count' => number_format($names),
        'months' => trans_choice('clients.fewer.months', $months, ['count' => $months]),
    ]) }} {{ __('clients.fewer.said') }}</p>
    @if ($choices === [])
        <p>{{ __('clients.fewer.none') }}</p>
    @else
        <table class="sheet low apart">
            <caption class="hide">{{ __('clients.fewer.open') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('clients.fewer.year') }}</th>
                    <th scope="col">{{ __('clients.fewer.in') }}</th>
                    <th scope="col">{{ __('clients.fewer.not') }}</th>
                    <th scope="col" class="sum">{{ __('clients.fewer.costs') }}</th>
                    <th scope="col">{{ __('clients.fewer.renew') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($choices as $one)
                    <tr>
                        <th scope="row">{{ $one->year }}</th>
                        <td data-label="{{ __('clients.fewer.in') }}">
                            {{ trans_choice('clients.fewer.months', count($one->months), ['count' => count($one->months)]) }}
                            <span class="lesser">{{ implode(', ', array_map(
                                fn(string $month) => App\Support\Dates::month(Acre\Core\Time\Instant::of("{$month}-01")),
                                $one->months,
                            )) }}</span></td>
                        <td data-label="{{ __('clients.fewer.not') }}">
                            @if ($one->left !== [])
                                {{ trans_choice('clients.fewer.left', count($one->left), ['count' => number_format(count($one->left))]) }}
                                <span class="lesser">{{ implode(', ', array_slice($one->left, 0, 5)) }}{{ count($one->left) > 5
                                    ? ' …'
                                    : '' }}</span>
                            @endif
                        </td>
                        <td class="sum" data-label="{{ __('clients.fewer.costs') }}">
                            {{ implode(' + ', array_map(fn($sum) => $sum->text(), array_values($one->costs))) }}
                            @if ($one->unpriced > 0)
                                <span class="lesser">{{ trans_choice('clients.fewer.unpriced', $one->unpriced) }}</span>
                            @endif
                        </td>
                        <td class="date stacked" data-label="{{ __('clients.fewer.renew') }}">
                            @foreach ($one->bought as $years => $list)
                                <a class="in-text"
                                    href="{{ route('deeds.show', ['renew', 'years' => $years, 'name' => implode(',', $list)]) }}">{{
                                        trans_choice('clients.fewer.buy', count($list), [
                                            'count' => number_format(count($list)),
                                            'years' => trans_choice('deeds.renew.years', $years, ['count' => $years]),
                                        ])
                                    }}</a>
                            @endforeach
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @if ($count > App\Http\Clients\ClientYearController::MOST)
        <x-cut :shown="App\Http\Clients\ClientYearController::MOST" :most="App\Http\Clients\ClientYearController::MOST">{{
            __('clients.fewer.choose')
        }}</x-cut>
    @endif
</x-layout>
