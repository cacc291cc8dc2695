{{-- What the registry publishes. --}}
<table class="sheet low">
    <caption class="hide">{{ __('outside.record.sources_compared') }}</caption>
    <thead>
        <tr>
            <th scope="col">{{ __('outside.record.field') }}</th>
            <th scope="col">{{ ucfirst(__('outside.source_short.' . $last->source->value)) }}</th>
            @if ($own !== null)
                <th scope="col">{{ __('common.registrar') }}</th>
                @endif @if ($page->isHeld())
                    <th scope="col">{{ __('common.the_roll') }}</th>
                @endif
        </tr>
    </thead>
    <tbody>
        @foreach ($page->rows() as $row)
            <tr>
                <th scope="row">{{ __('outside.field.' . $row['field']) }}</th>
                <td data-label="{{ __('outside.source_short.registry') }}" @class(['mono hosts' => $row['field'] === 'servers'])><bdi
                        @class(['mark' => $row['differs']])>{{ $row['registry'] }}</bdi></td>
                @if ($own !== null)
                    <td data-label="{{ __('common.registrar') }}" @class(['mono hosts' => $row['field'] === 'servers'])><bdi>{{
                            $row['own']
                        }}</bdi></td>
                @endif
                @if ($page->isHeld())
                    <td data-label="{{ __('common.the_roll') }}" @class(['mono hosts' => $row['field'] === 'servers'])>{{
                            $row['roll']
                        }}</td>
                @endif
            </tr>
        @endforeach
        @if ($record->moved !== null || $record->changed !== null)
            <tr>
                <th scope="row">{{ __('outside.record.transferred_changed') }}</th>
                <td data-label="{{ __('outside.source_short.registry') }}">
                    {{ $record->moved === null
                        ? __('outside.record.never_transferred_as_far_as_it')
                        : 'moved ' . App\Support\Dates::full($record->moved) }}{{ $record->changed === null ? '' : __(
                            'outside.record.changed',
                            ['changed' => App\Support\Dates::exact($record->changed)],
                        ) }}
                </td>
                @if ($own !== null)
                    <td data-label="{{ __('common.registrar') }}"></td>
                    @endif @if ($page->isHeld())
                        <td data-label="{{ __('common.the_roll') }}">
                            {{ $file->facts->moved === null ? '' : 'moved ' . App\Support\Dates::full($file->facts->moved) }}</td>
                    @endif
            </tr>
        @endif
    </tbody>
</table>
