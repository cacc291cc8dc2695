<x-layout :title="__('common.registrars')" area="Outside">
    @include('outside.ways')
    <div class="head">
        <div>
            <h1>{{ __('common.registrars') }}</h1>
            <p class="sentence"><x-sentence of="registrars.index.what"><x-slot:accounts><a
                            href="{{ route('accounts.index') }}">{{ __('registrars.index.all_accounts') }}</a></x-slot><x-slot:rulebook><a
                            href="{{ route('rulebook.index') }}">{{ __('registrars.index.rulebook') }}</a></x-slot></x-sentence></p>
        </div>
        @can('prepare')
            <p class="head-deeds"><a class="button" href="{{ route('registrars.create') }}">{{
                __('registrars.index.add_a_registrar')
            }}</a></p>
        @endcan
    </div>
    @if ($registrars->isEmpty())
        <div class="empty">
            <h2>{{ __('registrars.index.no_registrar_yet') }}</h2>
            <p>{{ __('registrars.index.add_the_first_one_with_its') }}</p>
        </div>
    @else
        <table class="sheet">
            <thead>
                <tr>
                    <th scope="col">{{ __('common.registrar') }}</th>
                    <th scope="col">{{ __('registrars.index.link') }}</th>
                    <th scope="col">{{ __('registrars.index.identifies_a_receiver_by') }}</th>
                    <th scope="col">{{ __('registrars.index.confirmed_by') }}</th>
                    <th scope="col" class="sum">{{ __('common.accounts') }}</th>
                    <th scope="col" class="sum">{{ __('common.names') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($registrars as $registrar)
                    <tr>
                        <th scope="row"><a href="{{ route('registrars.show', $registrar) }}">{{ $registrar->name }}</a></th>
                        <td data-label="{{ __('registrars.index.link') }}"><span class="term"
                                title="{{ __('words.link.' . $registrar->link) }}">{{
                                    __('registrars.index.by', ['link' => $registrar->link])
                                }}</span>
                        </td>
                        <td data-label="{{ __('registrars.index.identifies_a_receiver_by') }}">
                            {{ __('words.receiver_by.' . $registrar->receiver_by->value) }}</td>
                        <td data-label="{{ __('registrars.index.confirmed_by') }}">{{ __('words.confirms.' . $registrar->confirms->value) }}
                        </td>
                        <td class="sum" data-label="{{ __('common.accounts') }}">{{ $registrar->accounts_count }}</td>
                        <td class="sum" data-label="{{ __('common.names') }}"><a
                                href="{{ route('roll', ['registrar' => $registrar->id]) }}">{{ number_format(
                                    ($tallies[$registrar->id] ?? null)?->int('names') ?? 0,
                                ) }}</a>
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        {{ $registrars->links('components.pages') }}
    @endif
</x-layout>
