<x-layout title="The sheaf" area="Roll">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('roll') }}">The Roll</a></nav>
    <h1>The sheaf</h1>
    <p class="sentence">{{ $sheaf->count() === 0 ? 'Nothing is gathered yet.' : number_format($sheaf->count()).($sheaf->count() === 1 ? ' name' : ' names').' gathered: '.$sheaf->told().'. They stay here until you take them out, also when you sign out.' }}</p>
    <details class="card" @if ($rows === [] || $errors->any() || old('names')) open @endif><summary>Put in a list of names</summary>
        <form method="post" action="{{ route('sheaf.paste') }}" class="fields">
            @csrf
            <x-field name="names" type="area" label="The names" note="Paste it as it is: lines, commas, semicolons, tabs or blanks between, web addresses too." rows="3" required/>
            <p><button class="main">Put them in</button></p>
        </form>
    </details>
    @if ($sentences !== [])
        <table class="sheet low after-card apart">
            <caption>All that matched <span class="lesser">The names stay as they were when you ticked them all, until you bring them in step; what you took out stays out.</span></caption>
            <thead><tr><th scope="col">Sentence</th><th scope="col">Ticked on</th><th scope="col">In the sheaf</th><th scope="col">Today</th></tr></thead>
            <tbody>
            @foreach ($sentences as $one)
                <tr>
                    <th scope="row"><a href="{{ $one->sentence->address() }}">{{ $says->say($one->sentence) }}</a></th>
                    <td data-label="Ticked on">{{ App\Support\Dates::short($one->on) }}</td>
                    <td data-label="In the sheaf">{{ implode(', ', array_filter([trans_choice('sheaf.given', $one->given), $one->leftOut > 0 ? trans_choice('sheaf.left_out', $one->leftOut) : null])) }}</td>
                    <td data-label="Today">
                        @if ($one->hasChanged())
                            <form method="post" action="{{ route('sheaf.follow', $one->id) }}">@csrf {{ implode(', ', array_filter([$one->come > 0 ? trans_choice('sheaf.come', $one->come) : null, $one->gone > 0 ? trans_choice('sheaf.gone', $one->gone) : null])) }} <button class="plain">Bring it in step</button></form>
                        @else
                            <span class="lesser">as it was</span>
                        @endif
                    </td>
                </tr>
            @endforeach
            </tbody>
        </table>
    @endif
    @if ($rows !== [])
        <form method="post" action="{{ route('sheaf.remove') }}">
            @csrf @method('patch')
            <table class="sheet low after-card">
                <caption>What is in it{{ count($rows) < $sheaf->count() ? ': the first '.count($rows) : '' }}</caption>
                <thead><tr><th scope="col">Name</th><th scope="col">Whose it is</th><th scope="col">Where held</th><th scope="col">Next</th><th scope="col"><span class="hide">Take it out</span></th></tr></thead>
                <tbody>
                @foreach ($rows as $row)
                    <tr>
                        <th scope="row"><a class="name" href="{{ route('names.show', $row->text('ascii')) }}">{{ $row->text('unicode') }}</a></th>
                        <td>{{ $row->text('client_name') }}</td>
                        <td>{{ $row->text('registrar_name') }} {{ $row->text('account_number') }}</td>
                        <td>{{ $words->next($row)[0] }}</td>
                        <td class="sum"><button class="plain" name="names[]" value="{{ $row->int('name_id') }}" aria-label="Take out {{ $row->text('unicode') }}">Take out</button></td>
                    </tr>
                @endforeach
                </tbody>
            </table>
        </form>
    @endif
</x-layout>
