{{-- Where each answer came from. --}}
@if ($page->seen !== [])
    <table class="sheet low">
        <caption>{{ __('outside.record.sources') }}</caption>
        <thead>
            <tr>
                <th scope="col">{{ __('outside.record.source') }}</th>
                <th scope="col">{{ __('outside.record.asked_on') }}</th>
                <th scope="col">{{ __('outside.record.first_seen_so') }}</th>
                <th scope="col">{{ __('common.last_seen') }}</th>
                <th scope="col">{{ __('outside.record.answer') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->seen as $list)
                @foreach ($list as $one)
                    <tr @class(['is-past' => !$loop->first])>
                        <th scope="row">
                            {{
                                __('outside.source_short.' . $one->source->value)
                            }}{{ $loop->first ? '' : __('outside.record.earlier') }}
                        </th>
                        <td data-label="{{ __('outside.record.asked_on') }}" class="said">
                            @if ($loop->first)
                            <bdi class="mono">{{ $one->asked }}</bdi>@else<bdi>{{ $page->before($one, $list[0]) }}</bdi>
                            @endif
                        </td>
                        <td data-label="{{ __('outside.record.first_seen_so') }}">{{ App\Support\Dates::exact($one->first) }}</td>
                        <td data-label="{{ __('common.last_seen') }}">{{ App\Support\Dates::exact($one->last) }}</td>
                        <td data-label="{{ __('outside.record.answer') }}">
                            {{ $one->found ? '' : __('outside.record.no_such_name') }}<a
                                href="{{ route('record.raw', [$domain->ascii, $one->id]) }}">{{ __('outside.record.raw_answer') }}</a>
                        </td>
                    </tr>
                @endforeach
            @endforeach
        </tbody>
    </table>
@endif
