<x-layout title="Registrars" area="Outside">
    @include('outside.ways')
    <div class="head">
        <div><h1>Registrars</h1><p class="sentence">Where names are kept, and on what terms. See also <a href="{{ route('accounts.index') }}">every account</a> and <a href="{{ route('rulebook.index') }}">the rulebook</a> of the suffixes.</p></div>
        @can('prepare')<p class="head-deeds"><a class="button" href="{{ route('registrars.create') }}">Write down a registrar</a></p>@endcan
    </div>
    @if ($registrars->isEmpty())
        <div class="empty"><h2>No registrar yet</h2><p>Write down the first one with its terms; then its accounts. A file that is brought in needs to know whose account it came from.</p></div>
    @else
    <table class="sheet">
        <thead><tr><th scope="col">Registrar</th><th scope="col">Reached</th><th scope="col">A receiver is named by</th><th scope="col">Confirmed by</th><th scope="col" class="sum">Accounts</th><th scope="col" class="sum">Names</th></tr></thead>
        <tbody>
        @foreach ($registrars as $registrar)
            <tr>
                <th scope="row"><a href="{{ route('registrars.show', $registrar) }}">{{ $registrar->name }}</a></th>
                <td data-label="Reached"><span class="term" title="{{ __('words.link.'.$registrar->link) }}">by {{ $registrar->link }}</span></td>
                <td data-label="A receiver is named by">{{ __('words.receiver_by.'.$registrar->receiver_by->value) }}</td>
                <td data-label="Confirmed by">{{ __('words.confirms.'.$registrar->confirms->value) }}</td>
                <td class="sum" data-label="Accounts">{{ $registrar->accounts_count }}</td>
                <td class="sum" data-label="Names"><a href="{{ route('roll', ['registrar' => $registrar->id]) }}">{{ number_format(($tallies[$registrar->id] ?? null)?->int('names') ?? 0) }}</a></td>
            </tr>
        @endforeach
        </tbody>
    </table>
    {{ $registrars->links('components.pages') }}
    @endif
</x-layout>
