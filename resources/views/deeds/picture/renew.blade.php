{{-- $sums: what the clear ones cost; $quotes: what of it is tax, and what it would be without offers; $accounts: for each account that
    pays, what it costs there and what is left --}}
@if ($sums !== [])
    <p class="apart after-card"><strong>{{ __('deeds.renew.costs', ['sum' => implode(' + ', $sums)]) }}</strong>
        {{ implode(' ', $quotes) }}</p>
    <table class="sheet apart">
        <caption class="hide">{{ __('deeds.renew.left') }}</caption>
        <thead>
            <tr>
                <th scope="col">{{ __('deeds.renew.account') }}</th>
                <th scope="col" class="sum">{{ __('deeds.renew.names') }}</th>
                <th scope="col" class="sum">{{ __('deeds.renew.sum') }}</th>
                <th scope="col" class="sum">{{ __('deeds.renew.left') }}</th>
                <th scope="col" class="sum">{{ __('deeds.renew.then') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($accounts as $one)
                <tr>
                    <th scope="row"><a href="{{ route('accounts.money', $one['id']) }}">{{ $one['account'] }}</a></th>
                    <td class="sum" data-label="{{ __('deeds.renew.names') }}">{{ number_format($one['names']) }}</td>
                    <td class="sum" data-label="{{ __('deeds.renew.sum') }}">{{ implode(' + ', $one['sums']) }}
                        @if ($one['credit'] !== null)
                            <span class="reason lesser">{{ __('deeds.renew.by_credit', ['sum' => $one['credit']]) }}</span>
                        @endif
                    </td>
                    <td class="sum" data-label="{{ __('deeds.renew.left') }}">
                        {{ $one['left'] ?? __('deeds.renew.not_known') }}</td>
                    <td class="sum" data-label="{{ __('deeds.renew.then') }}">
                        {{ $one['after'] ?? __('deeds.renew.not_known') }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
