<x-layout :title="__('servers.faults.title')" area="Outside">
    @include('outside.ways')
    <h1>{{ __('servers.faults.title') }}</h1>
    <p class="sentence">{{ $hosts === [] && $others === [] ? __('servers.faults.none') : __('servers.faults.said') }}</p>
    @foreach (['hosts' => $hosts, 'others' => $others] as $which => $faults)
        @if ($faults !== [])
            <table class="sheet {{ $loop->first ? '' : 'apart' }}">
                <caption>{{ __('servers.faults.' . $which) }}</caption>
                <thead>
                    <tr>
                        <th scope="col">{{ __('servers.faults.by_' . $which) }}</th>
                        <th scope="col">{{ __('common.names') }}</th>
                        <th scope="col">{{ __('servers.faults.since') }}</th>
                        <th scope="col">{{ __('common.what_to_do') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($faults as $fault)
                        <tr>
                            <th scope="row">
                                @if ($fault->host !== '')
                                    <span class="mono name">{{ $fault->host }}</span>
                                @endif
                                <span
                                    class="{{ $fault->cost->value <= Acre\Core\Finding\Cost::Dark->value
                                        ? 'is-bad'
                                        : 'is-soon' }} reason">{{
                                    $words->sayOr('servers.faults.kind.' . $fault->finding->value, $words->stored($fault->said))
                                }}</span>
                            </th>
                            <td data-label="{{ __('common.names') }}">
                                @include('servers.few', ['to' => 'names.points'])
                            </td>
                            <td data-label="{{ __('servers.faults.since') }}">{{
                                $fault->since === null ? '' : App\Support\Dates::full($fault->since)
                            }}</td>
                            <td data-label="{{ __('common.what_to_do') }}">
                                {{ $words->say('servers.faults.cure.' . $fault->finding->actor()->value) }}
                                @include('servers.gather', [
                                    'to' => 'servers.faults.gather',
                                    'of' => ['finding' => $fault->finding->value, 'host' => $fault->host],
                                ])
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @endif
    @endforeach
</x-layout>
