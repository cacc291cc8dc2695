<x-layout :title="__('clients.sheet.domain_names_of', ['client' => $client->name])" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('clients.index') }}">{{ __('common.clients') }}</a> /
        <a href="{{ route('clients.show', $client) }}">{{ $client->name }}</a> / {{ __('clients.sheet.trail') }}</nav>
    <article class="deed-paper">
        <x-letterhead />
        <h1>{{ __('clients.sheet.domain_names_of', ['client' => $client->name]) }}</h1>
        <p>{{ trans_choice('clients.sheet.as_of', $count, ['day' => App\Support\Dates::full($today), 'told' => number_format($count)]) }}
            @foreach ($sums as [$costing, $sum])
                <x-sentence of="clients.sheet.cost" :count="$costing" :with="['told' => number_format($costing)]">
                    <x-slot:sum><strong>{{ $sum->text() }}</strong></x-slot></x-sentence>
            @endforeach
        </p>
        <table class="sheet low">
            <thead>
                <tr>
                    <th scope="col">{{ __('common.name') }}</th>
                    <th scope="col">{{ __('common.since') }}</th>
                    <th scope="col">{{ __('common.ends') }}</th>
                    <th scope="col">{{ __('clients.sheet.after_that') }}</th>
                    <th scope="col">{{ __('common.registrar') }}</th>
                    <th scope="col" class="sum">{{ __('clients.sheet.a_year') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($names as $row)
                    @php($ends = $row->instant('ends_on'))
                    <tr>
                        <th scope="row"><span class="name">{{ $row->text('unicode') }}</span></th>
                        <td data-label="{{ __('common.since') }}" class="date">
                            {{ $row->instant('created_on') === null
                                ? __('common.not_known')
                                : App\Support\Dates::full($row->instant('created_on')) }}
                        </td>
                        <td data-label="{{ __('common.ends') }}" class="date">
                            {{ $ends === null
                                ? __('common.not_known')
                                : App\Support\Dates::full($ends) }}@if ($row->text('phase') !== 'in_term')
                                <span class="lesser is-soon">{{ $words->say('words.phase.' . $row->text('phase')) }}</span>
                            @endif
                        </td>
                        <td data-label="{{ __('clients.sheet.after_that') }}">
                            @if ($row->bool('later'))
                                {{ $words->say('clients.then.' . $row->text('intent')) }}
                            @else
                                <strong>{{ $words->next($row)[0] }}</strong><span class="lesser">{{ $words->next($row)[1] }}</span>
                            @endif
                        </td>
                        <td data-label="{{ __('common.registrar') }}">{{ $row->text('registrar_name') }}</td>
                        <td data-label="{{ __('clients.sheet.a_year') }}" class="sum">
                            {{ $row->textOrNull('year') === null ? '' : Acre\Core\Money\Money::of(
                                $row->text('year'),
                                $row->text('year_currency'),
                            )->text() }}
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($count > count($names))
            <x-cut :shown="count($names)" :most="App\Queries\Clients\ClientSheet::MOST">{{ __('clients.sheet.all_in_csv') }}</x-cut>
        @endif
        <p class="no-paper head-deeds"><button type="button" class="main" data-print>{{ __('common.print') }}</button> <a class="button"
                href="{{ route('roll.export', ['csv', 'client' => $client->id]) }}">{{ __('clients.sheet.as_csv') }}</a> <a
                class="button" href="{{ route('roll.calendar', ['client' => $client->id]) }}">{{ __('clients.sheet.as_a_calendar') }}</a>
        </p>
    </article>
</x-layout>
