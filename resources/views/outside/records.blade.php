<x-layout title="Public record" area="Outside">
    @include('outside.ways')
    <h1>Public record</h1>
    <p class="sentence">What the responsible directories and name servers say of any name, held here or not.</p>
    <form method="post" action="{{ route('record.ask') }}" class="card fields">
        @csrf
        <x-field name="names" type="area" label="A name, or a list of them" note="Paste it as it is: lines, commas, blanks, web addresses too. Fifty at most." rows="3" :value="implode(' ', array_map(fn ($n) => $n->unicode, $asked->names))" required/>
        <p><button class="main">Ask the directories</button></p>
    </form>
    @if ($asked->wrong !== [])<p class="told told-bad" role="alert">{{ __('outside.record.wrong', ['names' => implode(', ', $asked->wrong)]) }}</p>@endif
    @if ($asked->left > 0)<p class="told told-bad" role="alert">{{ __('outside.record.too_many', ['limit' => 50]) }}</p>@endif
    @if ($rows !== [])
        <table class="sheet">
            <caption>What was last seen</caption>
            <thead><tr><th scope="col">Name</th><th scope="col">Registrar</th><th scope="col">Ends</th><th scope="col">Statuses</th><th scope="col">Name servers</th><th scope="col">Last seen</th></tr></thead>
            <tbody>
            @foreach ($rows as $row)
                @php($last = $row->registrys())
                @php($record = $last?->record)
                <tr>
                    <th scope="row"><a class="name" href="{{ route('record.show', $row->name->ascii) }}">{{ $row->name->unicode }}</a></th>
                    @if ($last === null)
                        <td colspan="5"><span class="lesser">{{ $row->trouble() ?? __('outside.record.unread') }}</span></td>
                    @elseif ($record === null)
                        <td colspan="4">{{ $last->found ? 'What came can’t be read.' : __('outside.record.empty') }}</td>
                        <td data-label="Last seen">{{ App\Support\Dates::exact($last->last) }}</td>
                    @else
                        <td data-label="Registrar"><bdi>{{ $record->registrar ?? $record->tag ?? 'not said' }}</bdi>@if ($record->reseller !== null)<span class="lesser">sold by <bdi>{{ $record->reseller }}</bdi></span>@endif</td>
                        <td data-label="Ends">{{ $record->ends === null ? 'not said' : App\Support\Dates::full($record->ends) }}</td>
                        <td data-label="Statuses">{{ implode(', ', [...array_map(fn ($s) => $s->value, $record->statuses), ...$record->words]) ?: 'not said' }}</td>
                        <td data-label="Name servers" class="mono hosts">{{ $record->servers === null ? 'not said' : ($record->servers === [] ? 'none' : implode("\n", $record->servers)) }}</td>
                        <td data-label="Last seen">{{ App\Support\Dates::exact($last->last) }}</td>
                    @endif
                </tr>
            @endforeach
            </tbody>
        </table>
        <p><a class="button" href="{{ url()->full() }}">Look whether more has come</a></p>
    @endif
</x-layout>
