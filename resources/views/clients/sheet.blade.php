<x-layout :title="'What we keep for '.$client->name" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('clients.index') }}">Clients</a> / <a href="{{ route('clients.show', $client) }}">{{ $client->name }}</a> / sheet</nav>
    <article class="deed-paper">
        <x-letterhead/>
        <h1>What we keep for {{ $client->name }}</h1>
        <p>As it stands on {{ App\Support\Dates::full($today) }}: {{ $count === 1 ? 'one name' : number_format($count).' names' }}.
            @foreach ($sums as [$costing, $sum]){{ $loop->first ? 'A year costs ' : ' and ' }}<strong>{{ $sum->text() }}</strong> for {{ $costing === 1 ? 'one of them' : number_format($costing).' of them' }}@endforeach{{ $sums === [] ? '' : '.' }}</p>
        <table class="sheet low">
            <thead><tr><th scope="col">Name</th><th scope="col">Since</th><th scope="col">Ends</th><th scope="col">And then</th><th scope="col">Kept at</th><th scope="col" class="sum">A year</th></tr></thead>
            <tbody>
            @foreach ($names as $row)
                @php($ends = $row->instant('ends_on'))
                <tr><th scope="row"><span class="name">{{ $row->text('unicode') }}</span></th>
                    <td data-label="Since" class="date">{{ $row->instant('created_on') === null ? 'not known' : App\Support\Dates::full($row->instant('created_on')) }}</td>
                    <td data-label="Ends" class="date">{{ $ends === null ? 'not known' : App\Support\Dates::full($ends) }}@if ($row->text('phase') !== 'in_term')<span class="lesser is-soon">{{ $words->say('words.phase.'.$row->text('phase')) }}</span>@endif</td>
                    <td data-label="And then">@if ($row->bool('later')){{ $words->say('clients.then.'.$row->text('intent')) }}@else<strong>{{ $words->next($row)[0] }}</strong><span class="lesser">{{ $words->next($row)[1] }}</span>@endif</td>
                    <td data-label="Kept at">{{ $row->text('registrar_name') }}</td>
                    <td data-label="A year" class="sum">{{ $row->textOrNull('year') === null ? '' : Acre\Core\Money\Money::of($row->text('year'), $row->text('year_currency'))->text() }}</td></tr>
            @endforeach
            </tbody>
        </table>
        @if ($count > count($names))<x-cut :shown="count($names)" :most="App\Queries\Clients\ClientSheet::MOST">As CSV it is all of them.</x-cut>@endif
        <p class="no-paper head-deeds"><button type="button" class="main" data-print>Print</button> <a class="button" href="{{ route('roll.take-away', ['csv', 'client' => $client->id]) }}">As CSV</a> <a class="button" href="{{ route('roll.calendar', ['client' => $client->id]) }}">As a calendar</a></p>
    </article>
</x-layout>
