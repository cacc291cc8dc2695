@php($money = fn(array $sums): string => implode(' + ', array_map(fn($sum) => $sum->text(), $sums)))
<table class="sheet apart">
    <caption>{{ __('plans.compared.caption') }}</caption>
    <thead>
        <tr>
            <th scope="col">{{ __('common.registrar') }}</th>
            <th scope="col" class="sum">{{ __('plans.compared.can_go') }}</th>
            <th scope="col">{{ __('plans.compared.last') }}</th>
            <th scope="col" class="sum">{{ __('plans.compared.transfers') }}</th>
            <th scope="col" class="sum">{{ __('plans.compared.later') }}</th>
            <th scope="col"><span class="hide">{{ __('plans.create.plan') }}</span></th>
        </tr>
    </thead>
    <tbody>
        @foreach ($compared as $one)
            <tr>
                <th scope="row">{{ $one->account->registrar->name }} <span class="lesser">{{ $one->account->number }}</span></th>
                <td class="sum" data-label="{{ __('plans.compared.can_go') }}">{{ __('plans.compared.of', [
                    'some' => number_format($one->canGo),
                    'all' => number_format($count),
                ]) }}</td>
                <td data-label="{{ __('plans.compared.last') }}">{{ $one->last === null ? '' : App\Support\Dates::full($one->last) }}</td>
                <td class="sum" data-label="{{ __('plans.compared.transfers') }}">{{ $money($one->sums) }}</td>
                <td class="sum" data-label="{{ __('plans.compared.later') }}">{{ $money($one->later) }}
                    @if ($one->unpriced > 0)
                        <span class="reason is-soon">{{ trans_choice('plans.compared.unpriced', $one->unpriced, [
                            'count' => number_format($one->unpriced),
                        ]) }}</span>
                    @endif
                </td>
                <td><a class="button low" href="{{ route('plans.create', [
                    ...$request->which(),
                    'account' => $one->account->id,
                ]) }}">{{ __('plans.create.plan') }}<span class="hide"> {{ __('plans.compared.to', [
                    'registrar' => $one->account->registrar->name,
                ]) }}</span></a></td>
            </tr>
        @endforeach
    </tbody>
</table>
<p class="lesser">{{ __('plans.compared.said') }}</p>
