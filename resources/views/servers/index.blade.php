<x-layout :title="__('servers.index.title')" area="Outside">
    @include('outside.ways')
    <div class="head">
        <div>
            <h1>{{ __('servers.index.title') }}</h1>
            <p class="sentence">{{ __('servers.index.said') }}</p>
        </div>
        @can('prepare')
            <p class="head-deeds"><a class="button" href="{{ route('servers.sets.create') }}">{{ __('servers.index.add') }}</a></p>
        @endcan
    </div>
    @if ($sets->isEmpty())
        <p class="empty">{{ __('servers.index.none') }}</p>
    @else
        <table class="sheet">
            <thead>
                <tr>
                    <th scope="col">{{ __('servers.index.set') }}</th>
                    <th scope="col">{{ __('servers.index.run_by') }}</th>
                    <th scope="col">{{ __('servers.index.servers') }}</th>
                    <th scope="col" class="sum">{{ __('common.names') }}</th>
                    <th scope="col"><span class="hide">{{ __('common.change') }}</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($sets as $set)
                    <tr>
                        <th scope="row">{{ $set->name }}</th>
                        <td data-label="{{ __('servers.index.run_by') }}">
                            {{ $set->runBy() === '' ? ucfirst(__('servers.kind.' . $set->kind->value)) : $set->runBy() }}<span
                                class="lesser">{{ $set->runBy() === '' ? '' : __('servers.kind.' . $set->kind->value) }}</span>
                        </td>
                        <td class="mono" data-label="{{ __('servers.index.servers') }}">
                            {{ implode(' ', $set->value()->hosts()) }}
                            @foreach ($set->value()->findings() as $finding)
                                <span class="reason is-soon">{{ $words->finding($finding) }}.</span>
                            @endforeach
                        </td>
                        <td class="sum" data-label="{{ __('common.names') }}">{{ number_format($names[$set->id] ?? 0) }}</td>
                        <td>
                            @can('prepare')
                                <a href="{{ route('servers.sets.edit', $set) }}">{{ __('common.change') }}</a>
                            @endcan
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @if ($hosts !== [])
        <table class="sheet low apart">
            <caption>{{ __('servers.index.hosts') }} <span class="lesser">{{ __('servers.index.hosts_said') }}</span></caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('servers.index.host') }}</th>
                    <th scope="col" class="sum">{{ __('common.names') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($hosts as $host => $count)
                    <tr>
                        <th scope="row" class="mono">{{ $host }}</th>
                        <td class="sum" data-label="{{ __('common.names') }}">{{ number_format($count) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
