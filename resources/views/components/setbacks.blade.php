{{-- What was set aside, a line each. The error is shown to whoever runs the house: it may quote what nobody else should read. --}}
@props(['setbacks'])
<dl class="facts facts-wide">
    @foreach ($setbacks as $one)
        <div>
            <dt>{{ __('setbacks.kind.' . $one->kind->value) }}@if ($one->name !== null)
                    <a class="name" href="{{ route('names.show', $one->name->ascii) }}">{{ $one->name->unicode }}</a>
                @elseif ($one->kind === App\Models\SetbackKind::Import)
                    <a
                        href="{{ route('imports.show', $one->subject_id) }}">{{ __(
                            'components.setbacks.list',
                            ['subject_id' => $one->subject_id],
                        ) }}</a>
                @elseif ($one->docket_id !== null)
                    <a
                        href="{{ route('dockets.show', $one->docket_id) }}">{{ __(
                            'components.setbacks.docket',
                            ['docket_id' => $one->docket_id],
                        ) }}</a>
                @endif
            </dt>
            <dd>
                @can('run')
                <bdi class="is-bad">{{ $one->error }}</bdi>@else<span class="is-bad">{{ __('setbacks.failed') }}</span>
                @endcan
                <span
                    class="lesser">{{ trans_choice(
                        'setbacks.tries',
                        $one->failures,
                        [
                            'count' => number_format($one->failures),
                            'since' => App\Support\Dates::clock($one->first_at),
                            'next' => App\Support\Dates::clock($one->retry_at),
                        ],
                    ) }}</span>
            </dd>
            <dd>
                @can('run')
                    <form method="post" action="{{ route('failed-work.again', $one) }}">
                        @csrf<button>{{ __('components.setbacks.try_again') }}</button></form>
                @endcan
            </dd>
        </div>
    @endforeach
</dl>
