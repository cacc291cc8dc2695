<x-layout :title="__('clients.a_year.title', ['client' => $client->name])" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('clients.index') }}">{{ __('common.clients') }}</a> /
        <a href="{{ route('clients.show', $client) }}">{{ $client->name }}</a> / {{ __('clients.a_year.trail') }}</nav>
    <article class="deed-paper">
        <x-letterhead />
        <h1>{{ __('clients.a_year.title', ['client' => $client->name]) }}</h1>
        <p>{{ __('clients.a_year.span', ['day' => App\Support\Dates::full($today)]) }}
            @if ($spent !== '')
                {{ __('clients.a_year.spent', ['sum' => $spent]) }}
            @endif
            @if ($coming !== '')
                {{ __('clients.a_year.coming', ['sum' => $coming]) }}
            @endif
            @if ($saved !== '')
                <strong>{{ __('clients.a_year.saved', ['sum' => $saved]) }}</strong>
            @endif
        </p>
        @if ($names === [])
            <p>{{ __('clients.a_year.none') }}</p>
        @else
            <table class="sheet low">
                <caption class="hide">{{ __('clients.a_year.trail') }}</caption>
                <thead>
                    <tr>
                        <th scope="col">{{ __('common.name') }}</th>
                        <th scope="col">{{ __('common.ends') }}</th>
                        <th scope="col" class="sum">{{ __('clients.a_year.before') }}</th>
                        <th scope="col" class="sum">{{ __('clients.a_year.after') }}</th>
                        <th scope="col">{{ __('clients.a_year.advice') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($names as $one)
                        <tr>
                            <th scope="row"><span class="name">{{ $one->unicode }}</span></th>
                            <td class="date" data-label="{{ __('common.ends') }}">
                                {{ $one->ends === null ? __('common.not_known') : App\Support\Dates::full($one->ends) }}</td>
                            <td class="sum" data-label="{{ __('clients.a_year.before') }}">
                                {{ implode(' + ', array_map(fn($sum) => $sum->text(), $one->spent)) }}</td>
                            <td class="sum" data-label="{{ __('clients.a_year.after') }}">
                                @if ($one->coming !== null)
                                    {{ $one->coming->text() }}
                                @elseif ($one->isDue && $one->intent !== Acre\Core\Lifecycle\Intent::Lapse)
                                    {{ __('clients.a_year.price_not_known') }}
                                @endif
                            </td>
                            <td data-label="{{ __('clients.a_year.advice') }}">
                                @if ($one->isAdvised())
                                    <strong>{{ __('clients.a_year.let_go') }}</strong>
                                @endif
                                @foreach ($one->reasons as $reason)
                                    <span class="lesser">{{ $words->finding($reason) }}</span>
                                @endforeach
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            @if ($count > count($names))
                <x-cut :shown="count($names)" :most="App\Queries\Clients\ReadClientYear::MOST">{{ __('clients.sheet.all_in_csv') }}</x-cut>
            @endif
            <p class="lesser">{{ __('clients.a_year.beware') }}</p>
        @endif
        <p class="no-paper head-deeds"><button type="button" class="main" data-print>{{ __('common.print') }}</button>
            @can('prepare')
                <a class="button" href="{{ route('asks.create', $client) }}">{{ __('asks.client.heading') }}</a>
                <a class="button" href="{{ route('clients.ends', $client) }}">{{ __('clients.fewer.open') }}</a>
            @endcan
        </p>
    </article>
</x-layout>
