<x-layout :title="__(':Served_many')" area="People">
    @include('contacts.ways')
    <div class="head">
        <div>
            <h1>{{ __(':Served_many') }}</h1>
            <p class="sentence">{{ __('clients.index.in_all_a_is_neither_the', ['total' => number_format($clients->total())]) }}</p>
        </div>
        @can('prepare')
            <p class="head-deeds"><a class="button" href="{{ route('clients.create') }}">{{ __('clients.index.add_a') }}</a></p>
        @endcan
    </div>
    @if ($clients->isEmpty())
        <div class="empty">
            <h2>{{ __('clients.index.no_yet') }}</h2>
            <p>{{ __('clients.index.import_names_mentioned_in_the') }}</p>
        </div>
    @else
        <table class="sheet">
            <thead>
                <tr>
                    <th scope="col">{{ __(':Served') }}</th>
                    <th scope="col">{{ __('common.mailbox') }}</th>
                    <th scope="col" class="sum">{{ __('common.names') }}</th>
                    <th scope="col" class="sum">{{ __('clients.index.urgent') }}</th>
                    <th scope="col">{{ __('clients.index.ends_first') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($clients as $client)
                    @php($tally = $tallies[$client->id] ?? null)
                    <tr>
                        <th scope="row"><a href="{{ route('clients.show', $client) }}">{{ $client->name }}</a>
                            @if ($client->is_house)
                                <span class="lesser">{{ __('clients.index.ourselves') }}</span>
                            @endif
                        </th>
                        <td data-label="{{ __('common.mailbox') }}">{{ $client->mailbox }}</td>
                        <td class="sum" data-label="{{ __('common.names') }}">
                            @if ($tally !== null)
                                <a href="{{ route('roll', ['client' => $client->id]) }}">{{ number_format($tally->int('names')) }}</a>
                            @else
                                0
                            @endif
                        </td>
                        <td class="sum" data-label="{{ __('clients.index.urgent') }}">
                            @if (($tally?->int('grave') ?? 0) > 0)
                                <span class="is-bad">{{ $tally->int('grave') }}</span>
                            @endif
                        </td>
                        <td data-label="{{ __('clients.index.ends_first') }}">
                            {{ $tally?->instant('first_end') === null ? '' : App\Support\Dates::full($tally->instant('first_end')) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        {{ $clients->links('components.pages') }}
    @endif
</x-layout>
