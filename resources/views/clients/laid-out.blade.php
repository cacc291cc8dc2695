<x-layout :title="__('clients.laid_out.title', ['client' => $client->name])" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('clients.index') }}">{{ __('common.clients') }}</a> /
        <a href="{{ route('clients.show', $client) }}">{{ $client->name }}</a> / {{ __('clients.laid_out.trail') }}</nav>
    <form method="get" action="{{ route('clients.laid-out', $client) }}" class="card fields apart no-paper">
        <div class="columns">
            <x-field name="from" type="date" :label="__('clients.laid_out.from')" :value="$from->date()"/>
            <x-field name="until" type="date" :label="__('clients.laid_out.until')" :value="$until->date()"/>
        </div>
        <p><button>{{ __('clients.laid_out.show') }}</button></p>
    </form>
    <article class="deed-paper apart">
        <x-letterhead />
        <h1>{{ __('clients.laid_out.title', ['client' => $client->name]) }}</h1>
        <p>{{ __('clients.laid_out.span', ['from' => App\Support\Dates::full($from), 'until' => App\Support\Dates::full($until)]) }}</p>
        @if ($lines === [])
            <p>{{ __('clients.laid_out.none') }}</p>
        @else
            <table class="sheet low">
                <caption class="hide">{{ __('clients.laid_out.trail') }}</caption>
                <thead>
                    <tr>
                        <th scope="col">{{ __('money.day') }}</th>
                        <th scope="col">{{ __('common.name') }}</th>
                        <th scope="col">{{ __('money.what') }}</th>
                        <th scope="col" class="sum">{{ __('clients.laid_out.sum') }}</th>
                        <th scope="col" class="sum">{{ __('clients.laid_out.surcharge') }}</th>
                        <th scope="col" class="sum">{{ __('clients.laid_out.total') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($lines as $line)
                        <tr>
                            <td class="date" data-label="{{ __('money.day') }}">{{ App\Support\Dates::full($line->on) }}</td>
                            <th scope="row"><span class="name">{{ $line->name }}</span></th>
                            <td data-label="{{ __('money.what') }}">{{ __('money.kind')[$line->kind] }}</td>
                            <td class="sum" data-label="{{ __('clients.laid_out.sum') }}">{{ $line->sum->text() }}</td>
                            <td class="sum" data-label="{{ __('clients.laid_out.surcharge') }}">{{ $line->surcharge->text() }}</td>
                            <td class="sum" data-label="{{ __('clients.laid_out.total') }}">{{ $line->total()->text() }}</td>
                        </tr>
                    @endforeach
                    <tr>
                        <th scope="row" colspan="3">{{ __('clients.laid_out.all') }}</th>
                        <td class="sum"><strong>{{ implode(' + ', $laidOut) }}</strong></td>
                        <td class="sum"><strong>{{ implode(' + ', $surcharge) }}</strong></td>
                        <td class="sum"><strong>{{ implode(' + ', $total) }}</strong></td>
                    </tr>
                </tbody>
            </table>
            @if ($count > count($lines))
                <x-cut :shown="count($lines)" :most="App\Queries\Clients\ReadLaidOut::MOST">{{ __('clients.laid_out.in_list') }}</x-cut>
            @endif
        @endif
        <p class="no-paper head-deeds"><button type="button" class="main" data-print>{{ __('common.print') }}</button> <a class="button"
                href="{{ route('clients.laid-out.list', [$client, 'from' => $from->date(), 'until' => $until->date()]) }}">{{
                __('clients.sheet.as_csv')
            }}</a></p>
    </article>
</x-layout>
