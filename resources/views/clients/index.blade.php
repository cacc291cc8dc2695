<x-layout :title="__(':Served_many')" area="People">
    @include('contacts.ways')
    <div class="head">
        <div><h1>{{ __(':Served_many') }}</h1><p class="sentence">Whom we serve: {{ number_format($clients->total()) }} in all. A {{ __(':served') }} is not the same as the registrant, nor as the account in which a name is kept.</p></div>
        @can('prepare')<p class="head-deeds"><a class="button" href="{{ route('clients.create') }}">{{ __('Write down a :served') }}</a></p>@endcan
    </div>
    @if ($clients->isEmpty())
        <div class="empty"><h2>{{ __('No :served yet') }}</h2><p>Bring names in: {{ __(':served_many') }} that a file names are offered for creation. Or write one down.</p></div>
    @else
    <table class="sheet">
        <thead><tr><th scope="col">{{ __(':Served') }}</th><th scope="col">Mailbox</th><th scope="col" class="sum">Names</th><th scope="col" class="sum">Need somebody now</th><th scope="col">First to end</th></tr></thead>
        <tbody>
        @foreach ($clients as $client)
            @php($tally = $tallies[$client->id] ?? null)
            <tr>
                <th scope="row"><a href="{{ route('clients.show', $client) }}">{{ $client->name }}</a>@if ($client->is_house)<span class="lesser">ourselves</span>@endif</th>
                <td data-label="Mailbox">{{ $client->mailbox }}</td>
                <td class="sum" data-label="Names">@if ($tally !== null)<a href="{{ route('roll', ['client' => $client->id]) }}">{{ number_format($tally->int('names')) }}</a>@else 0 @endif</td>
                <td class="sum" data-label="Need somebody now">@if (($tally?->int('grave') ?? 0) > 0)<span class="is-bad">{{ $tally->int('grave') }}</span>@endif</td>
                <td data-label="First to end">{{ $tally?->instant('first_end') === null ? '' : App\Support\Dates::full($tally->instant('first_end')) }}</td>
            </tr>
        @endforeach
        </tbody>
    </table>
    {{ $clients->links('components.pages') }}
    @endif
</x-layout>
