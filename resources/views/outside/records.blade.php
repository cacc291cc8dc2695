<x-layout :title="__('common.public_record')" area="Outside">
    @include('outside.ways')
    <h1>{{ __('common.public_record') }}</h1>
    <p class="sentence">{{ __('outside.records.what_directories_and_name') }}</p>
    <form method="post" action="{{ route('record.ask') }}" class="card fields">
        @csrf
        <x-field name="names" type="area" :label="__('outside.records.one_or_more_names')"
            :note="__('outside.records.paste_any_list_lines_commas')" rows="3"
            :value="implode(' ', array_map(fn($n) => $n->unicode, $asked->names))" required/>
        <p><button class="main">{{ __('outside.records.query_the_directories') }}</button></p>
    </form>
    @if ($asked->wrong !== [])
        <p class="told told-bad" role="alert">{{ __('outside.record.wrong', ['names' => implode(', ', $asked->wrong)]) }}</p>
    @endif
    @if ($asked->left > 0)
        <p class="told told-bad" role="alert">{{ __('outside.record.too_many', ['limit' => 50]) }}</p>
    @endif
    @if ($rows !== [])
        <table class="sheet">
            <caption>{{ __('outside.records.last_results') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('common.name') }}</th>
                    <th scope="col">{{ __('common.registrar') }}</th>
                    <th scope="col">{{ __('common.ends') }}</th>
                    <th scope="col">{{ __('outside.records.statuses') }}</th>
                    <th scope="col">{{ __('common.name_servers') }}</th>
                    <th scope="col">{{ __('common.last_seen') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($rows as $row)
                    @php($last = $row->registrys())
                    @php($record = $last?->record)
                    <tr>
                        <th scope="row"><a class="name"
                                href="{{ route('record.show', $row->name->ascii) }}">{{ $row->name->unicode }}</a></th>
                        @if ($last === null)
                            <td colspan="5"><span class="lesser">{{ $row->trouble() ?? __('outside.record.unread') }}</span></td>
                        @elseif ($record === null)
                            <td colspan="4">
                                {{ $last->found ? __('outside.records.the_answer_cant_be_read') : __('outside.record.empty') }}</td>
                            <td data-label="{{ __('common.last_seen') }}">{{ App\Support\Dates::exact($last->last) }}</td>
                        @else
                            <td data-label="{{ __('common.registrar') }}">
                                <bdi>{{ $record->registrar ?? ($record->tag ?? __('outside.records.not_said')) }}</bdi>
                                @if ($record->reseller !== null)
                                    <span class="lesser"><x-sentence of="outside.records.reseller">
                                    <x-slot:reseller><bdi>{{ $record->reseller }}</bdi></x-slot>
                                    </x-sentence></span>
                                @endif
                            </td>
                            <td data-label="{{ __('common.ends') }}">
                                {{ $record->ends === null ? __('outside.records.not_said') : App\Support\Dates::full($record->ends) }}</td>
                            <td data-label="{{ __('outside.records.statuses') }}">
                                {{ implode(
                                    ', ',
                                    [...array_map(fn($s) => $s->value, $record->statuses), ...$record->words],
                                ) ?: __('outside.records.not_said') }}
                            </td>
                            <td data-label="{{ __('common.name_servers') }}" class="mono hosts">
                                {{ $record->servers === null
                                    ? __('outside.records.not_said')
                                    : ($record->servers === [] ? 'none' : implode("\n", $record->servers)) }}
                            </td>
                            <td data-label="{{ __('common.last_seen') }}">{{ App\Support\Dates::exact($last->last) }}</td>
                        @endif
                    </tr>
                @endforeach
            </tbody>
        </table>
        <p><a class="button" href="{{ url()->full() }}">{{ __('outside.records.refresh') }}</a></p>
    @endif
</x-layout>
