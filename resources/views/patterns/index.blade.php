<x-layout title="Patterns of disclosure" area="People">
    @include('contacts.ways')
    <div class="head">
        <div><h1>Patterns of disclosure</h1><p class="sentence">Which fields of a holder the world may read. A pattern is a wish: suffix and registrar grant it or don’t, and the deed says so before.</p></div>
        @can('settle')<p class="head-deeds"><a class="button" href="{{ route('patterns.create') }}">Make a pattern</a></p>@endcan
    </div>
    <table class="sheet">
        <thead><tr><th scope="col">Pattern</th><th scope="col">Shows</th><th scope="col" class="sum">Names that follow it</th><th scope="col"><span class="hide">Change</span></th></tr></thead>
        <tbody>
        @foreach ($patterns as $pattern)
            <tr><th scope="row">{{ $pattern->name }}@if ($pattern->id === $house)<span class="lesser">for new names, unless their {{ __(':served') }} has another</span>@endif</th>
                <td data-label="Shows">@foreach (Acre\Core\Record\Field::cases() as $field)<span @class(['read', 'read-shown' => $pattern->value()->shows($field), 'read-withheld' => ! $pattern->value()->shows($field)])>{{ __('contacts.field.'.$field->value) }}<span class="hide">{{ $pattern->value()->shows($field) ? ' shown' : ' withheld' }}</span></span>@endforeach</td>
                <td class="sum" data-label="Names that follow it">{{ number_format($follow[$pattern->id] ?? 0) }}</td>
                <td>@can('settle')<a href="{{ route('patterns.edit', $pattern) }}">Change</a>@endcan</td></tr>
        @endforeach
        </tbody>
    </table>
</x-layout>
