<x-layout :title="__('servers.mails.title')" area="Outside">
    @include('outside.ways')
    <h1>{{ __('servers.mails.title') }}</h1>
    <p class="sentence">{{ $faults === [] && $progress->read > 0 ? __('servers.mails.none') : __('servers.mails.said') }} <span
            class="lesser">{{ __('servers.mails.progress', [
                'read' => number_format($progress->read),
                'of' => number_format($progress->of),
            ]) }}</span></p>
    @if ($faults !== [])
        <table class="sheet">
            <thead>
                <tr>
                    <th scope="col">{{ __('servers.mails.finding') }}</th>
                    <th scope="col">{{ __('common.names') }}</th>
                    <th scope="col">{{ __('servers.faults.since') }}</th>
                    <th scope="col">{{ __('common.what_to_do') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($faults as $fault)
                    <tr>
                        <th scope="row"><span
                                class="{{ $fault->cost->value <= Acre\Core\Finding\Cost::Dark->value ? 'is-bad' : 'is-soon' }}">{{
                            __('servers.mails.kind.' . $fault->finding->value)
                        }}</span></th>
                        <td data-label="{{ __('common.names') }}">
                            <strong>{{ number_format($fault->names) }}</strong>
                            @foreach ($fault->few as $ascii => $unicode)
                                <span class="reason mono"><a href="{{ route('names.zones', $ascii) }}">{{ $unicode }}</a></span>
                            @endforeach
                            @if ($fault->names > count($fault->few))
                                <span class="lesser">{{ __(
                                    'servers.faults.more',
                                    ['count' => number_format($fault->names - count($fault->few))],
                                ) }}</span>
                            @endif
                        </td>
                        <td data-label="{{ __('servers.faults.since') }}">{{
                            $fault->since === null ? '' : App\Support\Dates::full($fault->since)
                        }}</td>
                        <td data-label="{{ __('common.what_to_do') }}">
                            {{ __('servers.mails.cure.' . $fault->finding->value) }}
                            @can('prepare')
                                <form method="post" action="{{ route('servers.mail.gather') }}">@csrf<input type="hidden"
                                        name="finding" value="{{ $fault->finding->value }}"><button
                                        class="low">{{ trans_choice('servers.faults.gather', $fault->names) }}</button></form>
                            @endcan
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
