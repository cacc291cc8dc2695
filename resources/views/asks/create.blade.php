<x-layout :title="__('asks.create.title', ['client' => $client->name])" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('clients.index') }}">{{ __('common.clients') }}</a> /
        <a href="{{ route('clients.show', $client) }}">{{ $client->name }}</a> / {{ __('asks.create.trail') }}</nav>
    <h1>{{ __('asks.create.title', ['client' => $client->name]) }}</h1>
    <div class="sentence">{{ __('asks.create.ending') }}<x-word :label="trans_choice('asks.create.months', $months, ['count' => $months])">
            @foreach ($choices as $choice)
                <p><a href="{{ route('asks.create', [$client, 'months' => $choice]) }}">{{ trans_choice('asks.create.months', $choice, [
                    'count' => $choice,
                ]) }}</a></p>
            @endforeach
        </x-word>{{ __('asks.create.undecided') }}</div>
    @if ($open !== null)
        <p class="told"><x-sentence of="asks.create.open"><x-slot:ask><a
                        href="{{ route('asks.show', $open) }}">{{ __('asks.create.the_letter') }}</a></x-slot></x-sentence></p>
    @elseif ($rows === [])
        <p>{{ __('asks.create.none') }}</p>
    @else
        <form method="post" action="{{ route('asks.store', $client) }}" data-once>@csrf
            <div class="card fields">
                <div class="columns">
                    <x-field name="mailbox" :label="__('asks.create.to')" type="email" :value="$client->mailbox" required maxlength="320"/>
                    <x-field name="by" :label="__('asks.create.by')" type="date" :value="$by->date()" required
                        :note="__('asks.create.silence.' . $silence->value)"/>
                </div>
            </div>
            <table class="sheet apart">
                <caption class="hide">{{ __('common.the_names') }}</caption>
                <thead>
                    <tr>
                        <th class="c-tick" scope="col"><span class="hide">{{ __('asks.create.asks') }}</span></th>
                        <th class="c-name" scope="col">{{ __('common.name') }}</th>
                        <th scope="col">{{ __('asks.create.ends') }}</th>
                        <th scope="col">{{ __('common.intent') }}</th>
                        <th scope="col">{{ __('common.registrar') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @php($ticked = old('names'))
                    @foreach ($rows as $row)
                        <tr>
                            <td class="c-tick"><input type="checkbox" name="names[]" value="{{ $row->int('name_id') }}"
                                    aria-label="{{ $row->text('unicode') }}"
                                    @checked(!is_array($ticked) || in_array((string) $row->int('name_id'), $ticked, true))></td>
                            <th scope="row"><a class="name" href="{{ route('names.show', $row->text('ascii')) }}">{{
                                $row->text('unicode')
                            }}</a></th>
                            <td data-label="{{ __('asks.create.ends') }}">{{ App\Support\Dates::full($row->instant('ends_on')) }}</td>
                            <td data-label="{{ __('common.intent') }}">{{ __('words.intent.' . $row->text('intent')) }}</td>
                            <td data-label="{{ __('common.registrar') }}">{{ $row->text('registrar_name') }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <p class="apart"><button class="main">{{ __('asks.create.ask') }}</button>
                <span class="lesser">{{ __('asks.create.what_then') }}</span></p>
        </form>
    @endif
</x-layout>
